import type { ReactNode } from "react";

interface HeadProps {
  readonly children?: ReactNode;
  readonly right?: boolean;
  readonly colSpan?: number;
  readonly className?: string;
}

const classes = ({ right = false, className = "" }: HeadProps) => `${right ? "text-right" : "text-left"} font-[430] ${className}`.trimEnd();

/** The head of a column: of figures on the right, of words on the left. */
export const ColumnHead = (props: HeadProps) => (
  <th scope="col" colSpan={props.colSpan} className={classes(props)}>
    {props.children}
  </th>
);

/** The head of a row. */
export const RowHead = (props: HeadProps) => (
  <th scope="row" colSpan={props.colSpan} className={classes(props)}>
    {props.children}
  </th>
);
