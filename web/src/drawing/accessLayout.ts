import { Graph, layout } from '@dagrejs/dagre';
import type { Schemas } from '../api/client';

type Step = Schemas['StepSaid'];

export type Box = {
  step: Step;
  /** the title in one line or two */
  title: string[];
  /** height of the part that is the step; its components lie below */
  head: number;
  x: number;
  y: number;
  width: number;
  behind: string[];
};
export type Point = { x: number; y: number };
export type Path = { from: string; to: string; points: Point[] };
export type MapLayout = { boxes: Box[]; paths: Path[]; width: number; height: number };

const HEAD = 54;
const TITLE_LINE = 17;
const LETTERS = 20;
const WIDTH = 182;
export const COMPONENT_LINE = 24;

function titleLines(title: string): string[] {
  if (title.length <= LETTERS) {
    return [title];
  }
  const cut = title.lastIndexOf(' ', LETTERS);
  const at = cut > 6 ? cut : LETTERS;
  const rest = title.slice(at).trim();
  return [title.slice(0, at), rest.length > LETTERS ? `${rest.slice(0, LETTERS - 1)}…` : rest];
}

const headOf = (step: Step) => HEAD + (titleLines(step.title).length - 1) * TITLE_LINE;

/** Lays the notes out in layers, what comes off first on the left: needs become edges, a group's need one edge a member. */
export function accessLayout(steps: Step[], names: Map<number, string>): MapLayout {
  const graph = new Graph({ multigraph: false });
  graph.setGraph({
    rankdir: 'LR',
    nodesep: 16,
    ranksep: 44,
    marginx: 15,
    marginy: 12,
    ranker: 'network-simplex',
  });
  graph.setDefaultEdgeLabel(() => ({}));
  for (const step of steps) {
    graph.setNode(step.id, { width: WIDTH, height: headOf(step) + 4 + step.exposes.length * COMPONENT_LINE });
  }
  for (const step of steps) {
    for (const need of needed(step, steps)) {
      graph.setEdge(need, step.id);
    }
  }
  layout(graph);
  const boxes = steps.map((step) => {
    const node = graph.node(step.id) as { x: number; y: number; width: number; height: number };
    return {
      step,
      title: titleLines(step.title),
      head: headOf(step),
      x: node.x - node.width / 2,
      y: node.y - node.height / 2,
      width: node.width,
      behind: step.exposes.map((id) => names.get(id) ?? ''),
    };
  });
  const at = new Map(boxes.map((box) => [box.step.id, box]));
  const paths = graph.edges().map((edge: { v: string; w: string }) => {
    const { points } = graph.edge(edge.v, edge.w) as { points: Point[] };
    return { from: edge.v, to: edge.w, points: ported(points, at.get(edge.v), at.get(edge.w)) };
  });
  const size = graph.graph() as { width?: number; height?: number };
  return { boxes, paths, width: size.width ?? 0, height: size.height ?? 0 };
}

/** Leaves in the middle of the one's head and arrives in the middle of the other's, by way of what lies between. */
function ported(points: Point[], from?: Box, to?: Box): Point[] {
  if (!from || !to) {
    return points;
  }
  const start = { x: from.x + from.width, y: from.y + from.head / 2 };
  const end = { x: to.x, y: to.y + to.head / 2 };
  // Neighbouring layers need no detour; further ones go by the gaps that the layout left for them.
  const between =
    points.length > 3
      ? points.slice(1, -1).filter((point) => point.x > start.x + 20 && point.x < end.x - 20)
      : [];
  return [start, ...between, end];
}

/** The steps that a step's needs stand for. */
export function needed(step: Step, steps: Step[]): string[] {
  return step.needs.flatMap((need) =>
    steps.some((one) => one.id === need)
      ? [need]
      : steps.filter((one) => one.insteadOf === need).map((one) => one.id),
  );
}

/** A line through the points, leaving and arriving level. */
export function smooth(points: Point[]): string {
  const [first, ...rest] = points;
  if (!first) {
    return '';
  }
  let path = `M${first.x} ${first.y}`;
  let at = first;
  for (const next of rest) {
    const middle = (at.x + next.x) / 2;
    path += `C${middle} ${at.y} ${middle} ${next.y} ${next.x} ${next.y}`;
    at = next;
  }
  return path;
}
