import {
  capacityAnswers,
  dayOf,
  gradesInTheCold,
  productCovers,
  type CapacityAnswer,
  type Cold,
  type Entry,
  type Fluid,
  type Product,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { fullDate, sentence } from "../../../words/format.js";
import {
  apartWords,
  isFarApart,
  capacityWords,
  coverIssueWords,
  gradeWords,
  looksLikeWords,
  productWords,
  workingWords,
} from "../../../words/plateWords.js";
import type { PlateInBook } from "../usePlate.js";
import { EditButton } from "./EditButton.js";

/** The fluids of a machine: system, how much and by whom, what is required, what is in. */
export function FluidRows({
  cold,
  fluids,
  inside,
  products,
  onEdit,
  onChoose,
}: {
  readonly cold: Cold;
  /** With what is in them now. */
  readonly fluids: readonly Fluid[];
  readonly inside: PlateInBook["inside"];
  readonly products: readonly Product[];
  readonly onEdit: (fluid: Fluid) => void;
  /** Asks which products would do. */
  readonly onChoose: (fluid: Fluid) => void;
}): ReactElement {
  return (
    <ul>
      {fluids.map((fluid) => (
        <li
          key={fluid.id}
          className="relative grid gap-x-8 gap-y-2 border-t border-hairline py-3 lg:grid-cols-[11rem_minmax(20rem,1.25fr)_minmax(12rem,0.8fr)_minmax(14rem,1fr)_3.5rem]"
        >
          <div>
            <h3 className="font-bold">{sentence(fluid.system)}</h3>
            <p className="text-fine text-quiet">{fluid.kind}</p>
          </div>
          <Capacities fluid={fluid} />
          <Required fluid={fluid} cold={cold} />
          <div>
            <InItNow
              fluid={fluid}
              by={inside.get(fluid.id)?.by ?? null}
              cold={cold}
              products={products}
            />
            <button
              type="button"
              aria-label={`What would do in ${fluid.system}`}
              className="min-h-8 text-fine text-clear underline max-lg:min-h-12 print:hidden"
              onClick={() => onChoose(fluid)}
            >
              What would do?
            </button>
          </div>
          <EditButton what={fluid.system} onEdit={() => onEdit(fluid)} />
        </li>
      ))}
    </ul>
  );
}

function Capacities({ fluid }: { readonly fluid: Fluid }): ReactElement {
  const answers = capacityAnswers(fluid);
  if (answers.length === 0) return <p className="text-quiet">how much is not recorded</p>;
  return (
    <div className="space-y-2">
      {answers.map((answer) => (
        <CapacityBlock key={answer.condition} answer={answer} />
      ))}
    </div>
  );
}

function CapacityBlock({ answer }: { readonly answer: CapacityAnswer }): ReactElement {
  const { working, capacities, condition, disagrees } = answer;
  const others = capacities.filter((one) => one.id !== working.id);
  return (
    <div>
      <p>
        <strong className="text-large tabular-nums">{capacityWords(working)}</strong>{" "}
        <span className="text-quiet">{condition}</span>
        {disagrees && <strong className="ml-2 text-soon-text">sources disagree</strong>}
      </p>
      <p className="text-fine text-quiet">{workingWords(answer)}</p>
      {others.length > 0 && (
        <ul className="text-fine">
          {others.map((one) => (
            <li key={one.id} className="flex flex-wrap gap-x-2 tabular-nums">
              <span>
                {one.source}: {capacityWords(one)}
              </span>
              <span className={isFarApart(one, working) ? "text-soon-text" : "text-quiet"}>
                {apartWords(one, working)}
              </span>
              {(one.note ?? "") !== "" && <span className="text-quiet">{one.note}</span>}
            </li>
          ))}
        </ul>
      )}
      {answer.looksLike !== null && (
        <p className="text-fine text-soon-text">{looksLikeWords(answer)}</p>
      )}
    </div>
  );
}

function Required({ fluid, cold }: { readonly fluid: Fluid; readonly cold: Cold }): ReactElement {
  const codes = fluid.codes ?? [];
  const grades = gradesInTheCold(fluid, cold);
  const kinds = [fluid.coolantFamily, fluid.brakeType ? `type ${fluid.brakeType}` : null];
  const lines = [...kinds.filter((one) => (one ?? "") !== ""), ...codes];
  return (
    <div>
      {lines.length > 0 && <p className="font-medium">{lines.join(", ")}</p>}
      {grades.map((one) => (
        <p key={one.grade} className={one.cold === "too-thick" ? "text-soon-text" : ""}>
          {gradeWords(one)}
        </p>
      ))}
      {lines.length === 0 && grades.length === 0 && (
        <p className="text-quiet">no specification recorded</p>
      )}
      {(fluid.note ?? "") !== "" && <p className="text-fine text-quiet">{fluid.note}</p>}
    </div>
  );
}

function InItNow({
  fluid,
  by,
  cold,
  products,
}: {
  readonly fluid: Fluid;
  /** The entry it went in by, null where only the plate says it. */
  readonly by: Entry | null;
  readonly cold: Cold;
  readonly products: readonly Product[];
}): ReactElement {
  const product = products.find((one) => one.id === fluid.product);
  if (product === undefined) return <p className="text-quiet">what is in it is not recorded</p>;
  const { issues } = productCovers(product, fluid, cold);
  return (
    <div>
      <p className="text-fine text-quiet">
        in it now{by === null ? "" : `, since ${fullDate(dayOf(by.date))}`}
      </p>
      <p className="font-medium">{productWords(product)}</p>
      {issues.length === 0 ? (
        <p className="text-fine text-clear">covers what is required</p>
      ) : (
        <ul className="text-fine font-semibold text-due">
          {issues.map((issue, index) => (
            <li key={index}>{coverIssueWords(issue, fluid)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
