import { torqueDoubt, type Fluid, type ServicePoint } from "@yonderfell/core";
import type { ReactElement } from "react";
import { PictureStrip } from "../../shared/pictures/PictureStrip.js";
import { sentence } from "../../../words/format.js";
import { quantityWords, torqueDoubtWords } from "../../../words/quantityWords.js";
import { EditButton } from "./EditButton.js";

/** The points where a machine is drained, filled, checked and greased. */
export function PointRows({
  points,
  fluids,
  onEdit,
}: {
  readonly points: readonly ServicePoint[];
  readonly fluids: readonly Fluid[];
  readonly onEdit: (point: ServicePoint) => void;
}): ReactElement {
  return (
    <ul>
      {points.map((point) => {
        const fluid = fluids.find((one) => one.id === point.fluid);
        const count = point.count ?? 1;
        return (
          <li
            key={point.id}
            className="relative grid gap-x-8 gap-y-1 border-t border-hairline py-2 lg:grid-cols-[11rem_minmax(16rem,1.2fr)_minmax(10rem,0.8fr)_minmax(12rem,1fr)_3.5rem]"
          >
            <div>
              <p className="font-semibold">{sentence(point.purpose)}</p>
              {fluid !== undefined && <p className="text-fine text-quiet">{fluid.system}</p>}
            </div>
            <div>
              <p className="font-medium">
                {point.name}
                {count > 1 && <strong className="ml-2 tabular-nums">× {count}</strong>}
              </p>
              {(point.where ?? "") !== "" && <p className="text-fine text-quiet">{point.where}</p>}
              <PictureStrip pictures={point.pictures} />
            </div>
            <div>
              {(point.tool ?? "") !== "" && <p>{point.tool}</p>}
              <Torque point={point} />
            </div>
            <div>
              {(point.seal ?? "") !== "" && <p>Renew: {point.seal}</p>}
              {(point.note ?? "") !== "" && <p className="text-fine text-quiet">{point.note}</p>}
            </div>
            <EditButton what={point.name} onEdit={() => onEdit(point)} />
          </li>
        );
      })}
    </ul>
  );
}

function Torque({ point }: { readonly point: ServicePoint }): ReactElement | null {
  const torque = point.torque ?? null;
  if (torque === null) return null;
  const use = point.torqueUse ?? null;
  const doubt = use === null ? null : torqueDoubt(torque, { code: use });
  return (
    <p>
      <strong className="tabular-nums">{quantityWords(torque)}</strong>
      {doubt !== null && (
        <span className="block text-fine text-soon-text">{torqueDoubtWords(doubt)}</span>
      )}
    </p>
  );
}
