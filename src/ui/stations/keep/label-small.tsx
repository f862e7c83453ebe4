"use client";

import { useLayoutEffect, useRef, type ReactNode } from "react";
import { AllergenLines, DateLine, netWords, WhomLines, type ShownLabel } from "./label-parts";

/** What stands on a small label: no list of ingredients, but all that can hurt. */
function SmallContents(shown: ShownLabel) {
  const { contents, dated, box } = shown;
  const dangers = contents.cautions.filter(({ grade }) => grade === "danger");
  return (
    <>
      <p className="text-[1.25em] leading-[1.1] font-[640]">
        {contents.title}
        {box ? `, for ${box.name}` : ""}
        <span className="font-[430] text-[0.8em]"> {netWords(shown)}</span>
      </p>
      <DateLine dated={dated} />
      <WhomLines {...shown} />
      <AllergenLines {...shown} />
      {dangers.map(({ id, text }) => (
        <p key={id}>{text}</p>
      ))}
      <p>{dated.keep[0]}</p>
    </>
  );
}

interface SizedProps {
  readonly className: string;
  readonly children: ReactNode;
  /** Told whether all of it is seen. */
  readonly onFit: (fits: boolean) => void;
}

/** Sizes of type, pt, the largest first: the smallest has small letters of 1.2 mm, the least that is read. */
const SIZES = [9, 8.2, 7.4, 6.8] as const;

/** A box of a fixed size with its text as large as fits; tells whether any does. */
function Sized({ className, children, onFit }: SizedProps) {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const measure = () => {
      const outer = box.current;
      const inner = outer?.firstElementChild;
      if (!outer || !inner) return;
      const fits = SIZES.some((size) => {
        outer.style.fontSize = `${size}pt`;
        return inner.scrollHeight <= outer.clientHeight + 1 && inner.scrollWidth <= outer.clientWidth + 1;
      });
      onFit(fits);
    };
    measure();
    void document.fonts.ready.then(measure);
  });
  return (
    <div ref={box} className={className}>
      <div>{children}</div>
    </div>
  );
}

const TEXT = "text-[#161c44] leading-[1.18] [font-stretch:84%] overflow-hidden grid";

/** A round label of 60 mm: the text stands in the square within the circle. */
export const LabelRound = ({ onFit, ...shown }: ShownLabel & { readonly onFit: (fits: boolean) => void }) => (
  <article
    aria-label={`Round label of ${shown.contents.title}`}
    className="size-[60mm] rounded-full border border-edge bg-[#fff] grid place-items-center break-inside-avoid"
  >
    <Sized onFit={onFit} className={`${TEXT} size-[42.4mm] text-center content-center`}>
      <SmallContents {...shown} />
    </Sized>
  </article>
);

/** One of a sheet of labels of 63 by 46 mm. */
export const LabelOfSheet = ({ onFit, ...shown }: ShownLabel & { readonly onFit: (fits: boolean) => void }) => (
  <article
    aria-label={`Label of ${shown.contents.title}`}
    className="break-inside-avoid border border-dashed border-edge bg-[#fff] p-[2.5mm] w-[63mm] h-[46mm]"
  >
    <Sized onFit={onFit} className={`${TEXT} w-[57mm] h-[40mm] content-start`}>
      <SmallContents {...shown} />
    </Sized>
  </article>
);
