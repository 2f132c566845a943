import { plainAmount, plannedDrains, shareOfContainer, type MadeCard } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { useShelves } from "../../session/useShelves.js";
import type { WorkSource } from "../../session/useWorkSource.js";
import { lackWords } from "./lackWords.js";
import { counted } from "../../words/format.js";
import { money } from "../../words/money.js";
import { quantityWords } from "../../words/quantityWords.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import { formatted } from "../shared/atTheMachine/figures.js";

/** What is laid out before a job begins: fluids, parts, tools, the pan; what the shelf has too little of, what the plate does not say. */
export function LaidOut({
  card,
  source,
}: {
  readonly card: MadeCard;
  readonly source: WorkSource;
}): ReactElement {
  const { tools, pan, lacks } = card;
  return (
    <>
      <Taken card={card} />
      <Listed title="Tools">
        {tools.map((tool) => (
          <Item key={tool} words={tool} also="" />
        ))}
        {pan !== null && <Item words={`drain pan for ${formatted(pan)} L or more`} also="" />}
        {tools.length === 0 && pan === null && <Item words="None are named." also="" />}
      </Listed>
      <DrainsInto card={card} source={source} />
      <HowMuch card={card} />
      {lacks.length > 0 && (
        <Listed title="The plate does not say">
          {lacks.map((lack) => (
            <Item key={JSON.stringify(lack)} words={lackWords(lack, source)} also="" />
          ))}
        </Listed>
      )}
    </>
  );
}

/** What a card takes from the shelf or has to be bought. */
function Taken({ card: { takes, short } }: { readonly card: MadeCard }): ReactElement {
  const shortOf = (id: string, from: "stock" | "bought"): string => {
    const one = short.find(({ part, product }) => part === id || product === id);
    if (one === undefined) return from === "bought" ? "to be bought" : "";
    if (one.onHand < 0) return "the counts do not agree";
    return one.onHand === 0
      ? "none there"
      : `only ${formatted(one.onHand)}${one.unit === "piece" ? "" : ` ${one.unit}`} there`;
  };
  return (
    <Listed title="Lay out">
      {takes.fluids.map(({ fluid, product, amount, from }) => (
        <Item
          key={fluid.id}
          words={`${amount === null ? "" : `${quantityWords(amount)} `}${product?.name ?? `for the ${fluid.system}`}`}
          also={product === null ? "" : shortOf(product.id, from)}
        />
      ))}
      {takes.parts.map(({ part, count, from }) => (
        <Item
          key={part.id}
          words={`${count > 1 ? `${formatted(count)} × ` : ""}${part.number} ${part.name}`}
          also={shortOf(part.id, from)}
        />
      ))}
      {takes.fluids.length + takes.parts.length === 0 && (
        <Item words="Nothing is known of." also="" />
      )}
    </Listed>
  );
}

/** What is drained, the container it goes into, and whether it still fits. */
function DrainsInto({
  card,
  source,
}: {
  readonly card: MadeCard;
  readonly source: WorkSource;
}): ReactElement | null {
  const held = useShelves().shelves?.held ?? [];
  const tasks = source.book.tasks.filter(({ id }) => card.tasks.includes(id));
  const drains = [...plannedDrains(tasks, source.plate.fluids)];
  if (drains.length === 0) return null;
  return (
    <Listed title="Drains into">
      {drains.map(([kind, litres]) => {
        const one = held.find(
          ({ container }) => container.kind === kind && container.inUse === true,
        );
        const what = `${formatted(litres)} L of ${kind}`;
        if (one === undefined) {
          return <Item key={kind} words={what} also="no container of its kind is in use" />;
        }
        const { container, standing } = one;
        const after = { ...standing, litres: standing.litres + litres };
        const isOver = (shareOfContainer(container, after) ?? 0) > 1;
        const words = `${what}: ${container.name}, ${formatted(standing.litres)} L in it`;
        return <Item key={kind} words={words} also={isOver ? "full: hand it in first" : ""} />;
      })}
    </Listed>
  );
}

/** How long it takes, and what parts and fluids cost. */
function HowMuch({ card }: { readonly card: MadeCard }): ReactElement {
  const currency = useCurrency();
  const { known, missing } = costOf(card);
  const { minutes } = card.takes;
  return (
    <p>
      <span className="text-quiet">It takes about</span>{" "}
      <strong>{minutes === null ? "a time not yet estimated" : counted(minutes, "minute")}</strong>
      <span className="text-quiet">, parts and fluids</span>{" "}
      <strong>
        {known === 0 && missing > 0 ? "at prices not recorded" : money(known, currency)}
      </strong>
      {known > 0 && missing > 0 && (
        <span className="text-quiet"> and {counted(missing, "line")} without a price</span>
      )}
    </p>
  );
}

/** What fluids and parts cost at the cheapest source, and how many have no price or amount. */
function costOf({ takes }: MadeCard): { readonly known: number; readonly missing: number } {
  const lines = [
    ...takes.parts.map(({ count, price }) => (price === null ? null : count * price.price)),
    ...takes.fluids.map(({ amount, price }) =>
      amount === null || price === null ? null : plainAmount(amount) * price.price,
    ),
  ];
  const known = lines.reduce<number>((sum, one) => sum + (one ?? 0), 0);
  return { known, missing: lines.filter((one) => one === null).length };
}

function Listed({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <section>
      <h2 className="text-large font-bold">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

function Item({ words, also }: { readonly words: string; readonly also: string }): ReactElement {
  return (
    <li className="flex flex-wrap justify-between gap-x-4 border-t border-hairline py-1.5">
      <span>{words}</span>
      {also !== "" && <strong className="font-semibold text-due">{also}</strong>}
    </li>
  );
}
