import { Button } from "./button";

/** How far something long is, with what stops it. */
export function WorkingOn({
  words,
  done,
  of,
  onStop,
  className = "",
}: {
  readonly words: string;
  readonly done: number;
  readonly of: number;
  readonly onStop: () => void;
  readonly className?: string;
}) {
  return (
    <div role="status" className={`flex gap-4 items-center ${className}`}>
      <div className="flex-1 min-w-0">
        <p className="t-ledger truncate">{words}</p>
        <progress className="block w-full h-2 mt-1" max={Math.max(1, of)} value={done} aria-label="Progress" />
      </div>
      <Button onClick={onStop}>Stop</Button>
    </div>
  );
}
