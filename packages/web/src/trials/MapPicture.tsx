import { useRef } from 'react';
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import {
  blockBoxes,
  blockOf,
  formatTrimmed,
  moved,
  offPlot,
  overlapping,
  STEP_M,
  unitPlaces,
  type Place,
  type TrialUnit,
  type UnitSize,
} from '@wheat-ledger/core';

const WIDE = 700;
/** The smaller side of a unit is drawn so large at most, pixels. */
const CELL = 62;
/** Ground drawn below the blocks, into which one can be moved, m; to the right there is as much as the page is wide. */
const ROOM_M = 0.6;
/** A press with Shift moves so many steps. */
const STRIDE = 10;
const ARROWS: Readonly<Record<string, Place>> = {
  ArrowLeft: { xM: -STEP_M, yM: 0 },
  ArrowRight: { xM: STEP_M, yM: 0 },
  ArrowUp: { xM: 0, yM: -STEP_M },
  ArrowDown: { xM: 0, yM: STEP_M },
};

interface UnitsProps {
  readonly units: readonly TrialUnit[];
  readonly size: UnitSize;
  /** Pixels for a metre. */
  readonly scale: number;
  /** Names of the arms, where the key is shown; codes alone otherwise. */
  readonly arms: readonly string[] | undefined;
  /** Units that were lost or are odd. */
  readonly odd: ReadonlySet<number>;
}

/** The units of a block, each where it stands, with its number and its blind code. */
function Units({ units, size, scale, arms, odd, at }: UnitsProps & { at: ReadonlyMap<number, Place> }) {
  const cell = { w: size.widthM * scale, h: size.depthM * scale };
  const letter = Math.max(9, Math.min(15, cell.w / 4.2));
  return units.map((u) => {
    const place = at.get(u.number);
    return (
      <g key={u.number} transform={`translate(${(place?.xM ?? 0) * scale} ${(place?.yM ?? 0) * scale})`}>
        <rect
          width={cell.w}
          height={cell.h}
          fill="var(--paper)"
          stroke={odd.has(u.number) ? 'var(--beet)' : 'var(--line-strong)'}
          strokeDasharray={odd.has(u.number) ? '5 3' : undefined}
          strokeWidth={1.5}
        />
        <text x={cell.w / 2} y={cell.h / 2} textAnchor="middle" fontSize={letter} fill="var(--pine)" fontWeight={600}>
          {u.code}
        </text>
        <text
          x={cell.w / 2}
          y={cell.h / 2 + letter * 1.15}
          textAnchor="middle"
          fontSize={letter * 0.8}
          fill="var(--faint)"
        >
          {arms ? (arms[u.arm] ?? '') : u.number}
        </text>
      </g>
    );
  });
}

interface BlockProps extends UnitsProps {
  readonly block: number;
  readonly place: Place;
  readonly box: UnitSize;
  readonly at: ReadonlyMap<number, Place>;
  readonly wrong: boolean;
  /** Pixels of the screen for one of the drawing: a narrow page draws it smaller. */
  readonly shrunk: () => number;
  readonly onMove: (by: Place) => void;
}
/** A block that is dragged, or moved by the arrow keys. */
function Block({ block, place, box, wrong, shrunk, onMove, ...rest }: BlockProps) {
  const { scale } = rest;
  const { setNodeRef, listeners, transform } = useDraggable({ id: block });
  return (
    <g
      ref={(g) => setNodeRef(g as unknown as HTMLElement | null)}
      {...listeners}
      role="group"
      tabIndex={0}
      aria-label={`Block ${block + 1}, ${formatTrimmed(place.xM, 3)} m from the left and ${formatTrimmed(place.yM, 3)} m from the top; arrow keys move it`}
      className="cursor-move touch-none outline-offset-4"
      transform={transform ? `translate(${transform.x / shrunk()} ${transform.y / shrunk()})` : undefined}
      onKeyDown={(e) => {
        const arrow = ARROWS[e.key];
        if (!arrow) return;
        e.preventDefault();
        const times = e.shiftKey ? STRIDE : 1;
        onMove({ xM: arrow.xM * times, yM: arrow.yM * times });
      }}
    >
      <rect
        x={place.xM * scale - 4}
        y={place.yM * scale - 4}
        width={box.widthM * scale + 8}
        height={box.depthM * scale + 8}
        fill="transparent"
        stroke={wrong ? 'var(--beet)' : 'none'}
        strokeWidth={2}
      />
      <Units {...rest} />
      <text
        x={place.xM * scale - 9}
        y={(place.yM + box.depthM / 2) * scale + 4}
        textAnchor="end"
        fontSize={12}
        fill="var(--faint)"
      >
        {block + 1}
      </text>
    </g>
  );
}

interface MapPictureProps extends Omit<UnitsProps, 'scale'> {
  /** The plot, where it is a rectangle. */
  readonly plot: UnitSize | undefined;
  readonly places: readonly Place[];
  readonly onMove: (places: readonly Place[]) => void;
}
/** A trial to scale; blocks are moved to where they really stand. */
export function MapPicture({ places, plot, onMove, ...rest }: MapPictureProps) {
  const { units, size } = rest;
  const boxes = blockBoxes(units, size, places);
  const wrong = overlapping(boxes);
  const at = unitPlaces(units, size, places);
  const wholeM = {
    w: Math.max(...boxes.map((b) => b.xM + b.widthM)),
    h: Math.max(...boxes.map((b) => b.yM + b.depthM)),
  };
  const scale = Math.min(WIDE / (wholeM.w + ROOM_M), CELL / Math.min(size.widthM, size.depthM));
  const drawn = { w: WIDE, h: (wholeM.h + ROOM_M) * scale };
  const ground = {
    w: Math.min(drawn.w, (plot?.widthM ?? Infinity) * scale),
    h: Math.min(drawn.h, (plot?.depthM ?? Infinity) * scale),
  };
  const svg = useRef<SVGSVGElement>(null);
  const shrunk = (): number => (svg.current?.getBoundingClientRect().width ?? drawn.w + 36) / (drawn.w + 36);
  // A press alone is no drag.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const move = (block: number, by: Place): void => {
    const next = moved(places, block, by);
    if (JSON.stringify(next) !== JSON.stringify(places)) onMove(next);
  };
  return (
    <figure data-testid="map">
      <DndContext
        sensors={sensors}
        onDragEnd={({ active, delta }) => {
          const perM = scale * shrunk();
          move(Number(active.id), { xM: delta.x / perM, yM: delta.y / perM });
        }}
      >
        <svg
          ref={svg}
          viewBox={`-28 -6 ${drawn.w + 36} ${drawn.h + 34}`}
          className="h-auto max-w-full"
          width={drawn.w + 36}
          height={drawn.h + 34}
          aria-label={`${units.length} units in ${boxes.length === 1 ? 'one block' : `${boxes.length} blocks`}`}
        >
          <rect className="print:hidden" width={ground.w} height={ground.h} fill="var(--rule)" fillOpacity={0.35} />
          {boxes.map((box, block) => (
            <Block
              key={block}
              {...rest}
              units={units.filter((u) => blockOf(u) === block)}
              block={block}
              place={box}
              box={box}
              at={at}
              scale={scale}
              shrunk={shrunk}
              wrong={wrong.some((pair) => pair.includes(block))}
              onMove={(by) => move(block, by)}
            />
          ))}
          <line x1={0} x2={scale} y1={drawn.h + 14} y2={drawn.h + 14} stroke="var(--pine)" strokeWidth={2} />
          <text x={scale + 6} y={drawn.h + 18} fontSize={12} fill="var(--faint)">
            1 m
          </text>
        </svg>
      </DndContext>
      <figcaption className="text-sm text-faint">
        {formatTrimmed(wholeM.w, 3)} × {formatTrimmed(wholeM.h, 3)} m with the paths between; each unit is{' '}
        {formatTrimmed(size.widthM, 3)} × {formatTrimmed(size.depthM, 3)} m.
        <span className="no-print"> Drag a block to where it stands, or move it with the arrow keys (Shift: 1 m).</span>
      </figcaption>
      {plot &&
        offPlot(boxes, plot).map((block) => (
          <p key={block} className="text-beet" role="alert">
            Block {block + 1} reaches beyond the plot, which is {formatTrimmed(plot.widthM, 3)} ×{' '}
            {formatTrimmed(plot.depthM, 3)} m.
          </p>
        ))}
      {wrong.map(([a, b]) => (
        <p key={`${a} ${b}`} className="text-beet" role="alert">
          Blocks {a + 1} and {b + 1} lie on each other.
        </p>
      ))}
    </figure>
  );
}
