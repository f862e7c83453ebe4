import { Go } from "../shell/go";

export interface VersionRowData {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly kept: string;
}

/** Kept versions, newest first. */
export function VersionList({ versions }: { readonly versions: readonly VersionRowData[] }) {
  return (
    <ul className="mt-2 rule-t">
      {versions.map((version) => (
        <li key={version.id} className="border-b border-line">
          <Go href={`/versions/${version.id}`} className="block py-2 group">
            <span className="t-new group-hover:underline">{version.title}</span>
            <span className="block t-small text-ink2">
              {version.label} · kept {version.kept}
            </span>
          </Go>
        </li>
      ))}
    </ul>
  );
}
