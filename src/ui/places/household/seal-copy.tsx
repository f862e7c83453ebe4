"use client";

import { useId, useState } from "react";
import { Button } from "../../parts/button";
import { saveAs } from "../../parts/save-as";
import { sendForText, why as whyOf } from "../../parts/send";
import { useSaving } from "../../shell/saving";
import { toast } from "../../shell/messages";

/** Shorter passphrases are guessed too soon. */
const LEAST = 10;

interface PassphraseProps {
  readonly label: string;
  readonly value: string;
  /** One that is made, rather than one that opens something. */
  readonly isNew: boolean;
  /** The id of what is wrong with it; undefined where nothing is. */
  readonly wrong?: string | undefined;
  readonly onChange: (value: string) => void;
}

/** A field for a passphrase. */
export const Passphrase = ({ label, value, isNew, wrong, onChange }: PassphraseProps) => (
  <label className="t-small text-ink2">
    {label}
    <input
      type="password"
      autoComplete={isNew ? "new-password" : "off"}
      maxLength={200}
      value={value}
      aria-invalid={wrong !== undefined}
      aria-describedby={wrong}
      onChange={(event) => onChange(event.target.value)}
      className="block border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
    />
  </label>
);

/** A copy of everything sealed with a passphrase that is said twice. */
export function SealCopy({ isBusy }: { readonly isBusy: boolean }) {
  const { flush, waiting } = useSaving();
  const [passphrase, setPassphrase] = useState("");
  const [again, setAgain] = useState("");
  const [isSealing, setSealing] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const id = useId();
  const sealIt = async () => {
    const wrong =
      passphrase.length < LEAST ? `Take ${LEAST} characters or more: four words are good.` : passphrase === again ? null : "The two are not the same.";
    setWhy(wrong);
    if (wrong !== null) return;
    setSealing(true);
    try {
      // Not before what was typed is in it; where it cannot be saved, the notice says so.
      await flush();
      if (waiting()) return;
      const { name, text } = await sendForText("/api/backup/sealed", { passphrase });
      saveAs(name, text);
      setPassphrase("");
      setAgain("");
      toast("The sealed copy is saved. Nobody opens it without the passphrase: keep that elsewhere.");
    } catch (error) {
      setWhy(whyOf(error, "It could not be sealed."));
    } finally {
      setSealing(false);
    }
  };
  return (
    <form
      aria-label="Sealed with a passphrase"
      className="flex flex-wrap gap-3 items-end"
      onSubmit={(event) => {
        event.preventDefault();
        void sealIt();
      }}
    >
      <Passphrase label={`passphrase, ${LEAST} characters or more`} value={passphrase} isNew wrong={why ? id : undefined} onChange={setPassphrase} />
      <Passphrase label="the same again" value={again} isNew onChange={setAgain} />
      <Button type="submit" disabled={isBusy || isSealing}>
        {isSealing ? "Sealing it" : "Save a sealed copy"}
      </Button>
      {why && (
        <p id={id} role="alert" className="t-ledger text-rose basis-full">
          {why}
        </p>
      )}
    </form>
  );
}
