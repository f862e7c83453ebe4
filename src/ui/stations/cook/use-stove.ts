"use client";

import type NoSleep from "nosleep.js";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState } from "react";
import { afterPaint } from "../../parts/after-paint";
import { missedBetween, secondsLeft, type CookSession, type CookTimer } from "../../../core/cook";

const TICK_MS = 500;
/** A gap between two ticks that is longer than this was a sleep. */
const ASLEEP_MS = 20_000;

/** What a batch has taught comes with the page: it is asked for again once what happened after the end is saved. */
export function useTaught({ endedAt, events }: Pick<CookSession, "endedAt" | "events">, waiting: number): void {
  const router = useRouter();
  const seen = useRef({ events: events.length, isDone: endedAt !== null });
  useEffect(() => {
    if (waiting > 0 || seen.current.events === events.length) return;
    const teaches = endedAt !== null || seen.current.isDone;
    seen.current = { events: events.length, isDone: endedAt !== null };
    if (teaches) router.refresh();
  }, [waiting, events, endedAt, router]);
}

/** The time, often enough for a timer; and the timers that ran out while the page slept, until they are read. */
export function useClock(session: CookSession): { readonly now: number; readonly missed: readonly CookTimer[]; readonly onRead: () => void } {
  const [now, setNow] = useState(() => session.startedAt ?? 0);
  const [missed, setMissed] = useState<readonly CookTimer[]>([]);
  const last = useRef<number | null>(null);
  const latest = useRef(session);
  useEffect(() => void (latest.current = session), [session]);
  useEffect(() => {
    const tick = () => {
      const time = Date.now();
      if (last.current !== null && time - last.current > ASLEEP_MS) setMissed(missedBetween(latest.current, last.current, time));
      last.current = time;
      setNow(time);
    };
    tick();
    const timer = setInterval(tick, TICK_MS);
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", tick);
    };
  }, []);
  return { now, missed, onRead: () => setMissed([]) };
}

/** Short tones one after the other, made here. */
function beep(audio: AudioContext, hertz: readonly number[]): void {
  for (const [i, pitch] of hertz.entries()) {
    const at = audio.currentTime + 0.25 * i;
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = pitch;
    gain.gain.setValueAtTime(0.25, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + 0.22);
    tone.connect(gain).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.24);
  }
}

const RING_EVERY_MS = 2500;
/** Rings, shakes and writes into the title for as long as a timer has run out; the first press of a page lets it sound. */
export function useAlarm(session: CookSession, now: number, isToStir: boolean): { readonly allowSound: () => void } {
  const audio = useRef<AudioContext | null>(null);
  // Sound is asked for by a press, and got ready once that is painted.
  const allowSound = useCallback(() => {
    if (audio.current?.state === "running") return;
    afterPaint(() => {
      audio.current ??= new AudioContext();
      void audio.current.resume();
    });
  }, []);
  const rings = session.timers.some((timer) => secondsLeft(timer, now) <= 0);
  const label = session.timers.find((timer) => secondsLeft(timer, now) <= 0)?.label ?? "";
  useEffect(() => {
    if (!rings) return;
    const title = document.title;
    const ring = () => {
      document.title = `Time: ${label}`;
      if (audio.current?.state === "running") beep(audio.current, [880, 660]);
      // Some browsers have none, and refuse it before anything was pressed.
      if ("vibrate" in navigator && navigator.userActivation.hasBeenActive) navigator.vibrate([200, 100, 200]);
    };
    ring();
    const timer = setInterval(ring, RING_EVERY_MS);
    return () => {
      clearInterval(timer);
      document.title = title;
    };
  }, [rings, label]);
  useEffect(() => {
    if (isToStir && audio.current?.state === "running") beep(audio.current, [523]);
  }, [isToStir]);
  return { allowSound };
}

export type Awake = "kept on" | "kept on by a video" | "may go dark" | "off";
/**
 * Keeps the screen on while it is wanted: by the system, where the page is secure; else by a silent video, which can begin only with a
 * press (`onPress`). Says which it is.
 */
export function useAwake(isWanted: boolean): { readonly awake: Awake; readonly onPress: () => void } {
  const [awake, setAwake] = useState<Awake>("off");
  const video = useRef<NoSleep | "asked" | null>(null);
  useEffect(() => {
    if (!isWanted) return;
    let lock: WakeLockSentinel | null = null;
    let isLeft = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        if (!("wakeLock" in navigator)) throw new Error("none");
        const got = await navigator.wakeLock.request("screen");
        if (isLeft) return void got.release();
        lock = got;
        setAwake("kept on");
      } catch {
        if (typeof video.current !== "object" || video.current === null) setAwake("may go dark");
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener("visibilitychange", again);
    return () => {
      isLeft = true;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
      if (video.current !== "asked") video.current?.disable();
      video.current = null;
    };
  }, [isWanted]);
  const onPress = useCallback(() => {
    if (awake !== "may go dark" || video.current !== null || "wakeLock" in navigator) return;
    video.current = "asked";
    void import("nosleep.js")
      .then(async ({ default: NoSleep }) => {
        const playing = new NoSleep();
        await playing.enable();
        video.current = playing;
        setAwake("kept on by a video");
      })
      // Where not even that is let, it is said that the screen may go dark.
      .catch(() => (video.current = null));
  }, [awake]);
  return { awake: isWanted ? awake : "off", onPress };
}

const ALOUD = "threpsis.cook.aloud";
/** Reads steps aloud on wish, with a voice of this machine: none that would send words away. */
export function useVoice(): { readonly isThere: boolean; readonly isOn: boolean; readonly onToggle: () => void; readonly say: (words: string) => void } {
  const [voice, setVoice] = useState<SpeechSynthesisVoice | null>(null);
  const [isOn, setOn] = useState(false);
  useEffect(() => {
    if (!("speechSynthesis" in window)) return;
    const find = () => {
      const own = window.speechSynthesis.getVoices().filter(({ localService }) => localService);
      setVoice(own.find(({ lang }) => lang.startsWith("en")) ?? own[0] ?? null);
    };
    find();
    queueMicrotask(() => setOn(localStorage.getItem(ALOUD) === "yes"));
    window.speechSynthesis.addEventListener("voiceschanged", find);
    return () => {
      window.speechSynthesis.removeEventListener("voiceschanged", find);
      window.speechSynthesis.cancel();
    };
  }, []);
  const onToggle = useCallback(() => {
    setOn((before) => {
      localStorage.setItem(ALOUD, before ? "no" : "yes");
      return !before;
    });
  }, []);
  const say = useCallback(
    (words: string) => {
      if (!isOn || !voice) return;
      const spoken = new SpeechSynthesisUtterance(words);
      spoken.voice = voice;
      window.speechSynthesis.cancel();
      window.speechSynthesis.speak(spoken);
    },
    [isOn, voice],
  );
  return { isThere: voice !== null, isOn, onToggle, say };
}

/** Another step is on: it is seen from its beginning. */
export function useTopOf(step: string | null): void {
  const before = useRef(step);
  useEffect(() => {
    if (before.current === step) return;
    before.current = step;
    // With the frame that shows it: scrolling at once would lay the page out twice.
    const frame = requestAnimationFrame(() => window.scrollTo({ top: 0 }));
    return () => cancelAnimationFrame(frame);
  }, [step]);
}
