<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  OrthographicCamera,
  Plane,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import { CLOSED_MM, plateFaces, type FoldedFace, type PlateSolid, type Sight } from '@grain-fold/core/folds';
import { STILL, type Point3 } from '@grain-fold/core/geometry';
import {
  mergedPlates,
  rodBetween,
  shapeOfFaces,
  vector,
  type MergedPlates,
  type PlateShape,
} from './model-geometry.ts';
import { labelsOf, type ModelLabel } from './model-labels.ts';
import type { Folding, ShownPlate } from './use-folding.ts';

/** The folded part in space, to be turned and picked. */
const props = defineProps<{
  folding: Folding;
  /** The part whose edges stand out. */ partId: string;
  /** Another one brings the whole model into view again. */ fitKey: string;
  label: string;
  highlighted: readonly (readonly [Point3, Point3])[];
  measured: readonly Point3[];
}>();
const emit = defineEmits<{ pick: [sight: Sight, pixelMm: number]; failed: [] }>();

const THICKEST_ROD_MM = 1.6;
/** Room for a figure at the right edge of the view. */
const LABEL_PX = 84;
/** Arms of the mark at the first of two measured places, as a share of the model's size. */
const MARK_SHARE = 0.05;
const MOSS = '#5c7f3c',
  BRICK = '#b0452c',
  MARIGOLD = '#d9902f';
const frame = ref<HTMLElement>();
const canvas = ref<HTMLCanvasElement>();
const { width, height } = useElementSize(frame);
const scene = new Scene();
scene.background = new Color('#23414a');
scene.add(new AmbientLight('#ffffff', 1.7));
const sun = new DirectionalLight('#ffffff', 1.9);
sun.position.set(-4, -5, 9);
scene.add(sun);
const camera = new OrthographicCamera(-1, 1, 1, -1, -5000, 5000);
camera.up.set(0, 0, 1);
const content = new Group();
scene.add(content);
let renderer: WebGLRenderer | undefined, controls: OrbitControls | undefined;
const cut = new Plane();
const radius = computed(() => {
  const { low, high } = props.folding.bounds.value;
  return Math.max(10, Math.hypot(high.x - low.x, high.y - low.y, high.z - low.z) / 2);
});
const middle = computed(() => {
  const { low, high } = props.folding.bounds.value;
  return new Vector3((low.x + high.x) / 2, (low.y + high.y) / 2, (low.z + high.z) / 2);
});

/** Numbers of plates and figures of seams, where they lie on the screen. */
const labels = shallowRef<readonly ModelLabel[]>([]);
function placeLabels(): void {
  const next = labelsOf(drawn, props.folding.seams.value, (p) => {
    const { x, y } = vector(p).project(camera);
    return { x: Math.min(((x + 1) / 2) * width.value, width.value - LABEL_PX), y: ((1 - y) / 2) * height.value };
  });
  if (next.length > 0 || labels.value.length > 0) labels.value = next;
}
let frameAsked = 0,
  turnedAt = 0,
  fineness = 1;
/** Frames slower than this while the model is turned are drawn coarser until it rests: software rendering pays for every pixel. */
const SLOW_FRAME_MS = 28,
  COARSE = 0.6;
function setFineness(value: number): void {
  if (!renderer || fineness === value) return;
  fineness = value;
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio) * value);
  draw();
}
/** Draws once before the next frame, however often it is asked. */
function draw(): void {
  frameAsked ||= requestAnimationFrame((now) => {
    frameAsked = 0;
    renderer?.render(scene, camera);
    placeLabels();
    if (turnedAt === 0) return;
    if (now - turnedAt > SLOW_FRAME_MS && now - turnedAt < 1000) setFineness(COARSE);
    turnedAt = now;
  });
}

// Materials live as long as the view: a new one would have its shader made anew at every step of the slider.
const board = new MeshLambertMaterial({
  vertexColors: true,
  side: DoubleSide,
  polygonOffset: true,
  // Edges in the plane of another plate's face, as doubled board has them, stand clear of it whichever way it is turned.
  polygonOffsetFactor: 2,
  polygonOffsetUnits: 4,
});
const opened = new MeshBasicMaterial({ vertexColors: true, side: DoubleSide });
const edging = new LineBasicMaterial({ vertexColors: true });
const rods: Readonly<Record<string, MeshBasicMaterial>> = Object.fromEntries(
  [MOSS, BRICK, MARIGOLD].map((color) => [
    color,
    new MeshBasicMaterial({ color, depthTest: false, transparent: true }),
  ]),
);
const shapes = new Map<PlateSolid, PlateShape>();
const overlay = new Group();
content.add(overlay);
let drawn: readonly ShownPlate[] = [],
  merged: MergedPlates | undefined,
  body: Mesh | undefined,
  edges: LineSegments | undefined;

function clearOverlay(): void {
  for (const child of overlay.children) if (child instanceof Mesh) (child.geometry as BufferGeometry).dispose();
  overlay.clear();
}
function clearModel(): void {
  for (const one of [body, edges]) {
    if (!one) continue;
    content.remove(one);
    one.geometry.dispose();
  }
  merged = body = edges = undefined;
}

/** Work on the interface's thread is cut into slices of about this length. */
const SLICE_MS = 12;
let making = 0;
const isSame = (a: readonly ShownPlate[], b: readonly ShownPlate[]): boolean =>
  a.length === b.length &&
  a.every(({ solid, partId }, index) => solid === b[index]!.solid && partId === b[index]!.partId);

/** Puts the plates where they are now. Others than before are made first, slice by slice, while those before stay. */
function build(): void {
  const plates = props.folding.plates.value;
  if (merged && isSame(plates, drawn)) {
    drawn = plates;
    place();
    return;
  }
  cancelAnimationFrame(making);
  if (!plates.some(({ solid }) => shapes.has(solid))) shapes.clear();
  make();
}
function make(): void {
  const start = performance.now(),
    plates = props.folding.plates.value;
  for (const { solid } of plates) {
    if (shapes.has(solid)) continue;
    if (performance.now() - start > SLICE_MS) {
      making = requestAnimationFrame(make);
      return;
    }
    shapes.set(solid, shapeOfFaces(plateFaces(solid, STILL)));
  }
  clearModel();
  drawn = plates;
  merged = mergedPlates(plates.map(({ solid }) => shapes.get(solid)!));
  body = new Mesh(merged.body, board);
  edges = new LineSegments(merged.edges, edging);
  content.add(body, edges);
  place();
}
/** Colours of edges: ink, and for the part whose slip is open among others, marigold. */
const [INK_EDGE, OWN_EDGE] = ['#1d2a2f', MARIGOLD].map((colour) => new Color(colour).toArray()) as [
  [number, number, number],
  [number, number, number],
];
/** Carries the plates to where they are. */
function place(): void {
  const isAmong = new Set(drawn.map(({ partId }) => partId)).size > 1;
  merged?.place(
    drawn.map(({ map }) => map),
    drawn.map(({ partId }) => (isAmong && partId === props.partId ? OWN_EDGE : INK_EDGE)),
  );
  decorate();
}

/** The faces of a section as one body, a little within the cut, so that the cut does not take it away. */
function openedBy(faces: readonly FoldedFace[]): Mesh {
  const { positions, normals, colours } = shapeOfFaces(faces);
  const geometry = new BufferGeometry()
    .setAttribute('position', new BufferAttribute(positions, 3))
    .setAttribute('normal', new BufferAttribute(normals, 3))
    .setAttribute('color', new BufferAttribute(colours, 3));
  const mesh = new Mesh(geometry, opened);
  mesh.position.copy(vector(props.folding.section.value!.normal).multiplyScalar(-WITHIN_CUT_MM));
  return mesh;
}
const WITHIN_CUT_MM = 0.02;

/** Seams, what is chosen, what is measured and the section, over the model. */
function decorate(): void {
  clearOverlay();
  const { seams, isClear, section, laidOpen } = props.folding;
  if (board.transparent !== isClear.value)
    Object.assign(board, {
      transparent: isClear.value,
      opacity: isClear.value ? 0.45 : 1,
      depthWrite: !isClear.value,
      needsUpdate: true,
    });
  const rod = (a: Point3, b: Point3, colour: string, share: number): void => {
    overlay.add(new Mesh(rodBetween(a, b, Math.min(THICKEST_ROD_MM, radius.value * share)), rods[colour]!));
  };
  for (const { lines, gapMm, isPressed } of seams.value)
    for (const [a, b] of lines) rod(a, b, gapMm <= CLOSED_MM && !isPressed ? MOSS : BRICK, 0.006);
  for (const [a, b] of props.highlighted) rod(a, b, MARIGOLD, 0.009);
  const [first, second] = props.measured;
  if (first && second) rod(first, second, MARIGOLD, 0.006);
  else if (first) {
    const arm = radius.value * MARK_SHARE;
    for (const axis of ['x', 'y', 'z'] as const)
      rod({ ...first, [axis]: first[axis] - arm }, { ...first, [axis]: first[axis] + arm }, MARIGOLD, 0.006);
  }
  if (laidOpen.value.length > 0) overlay.add(openedBy(laidOpen.value));
  if (renderer) {
    const now = section.value;
    if (now) cut.set(vector(now.normal).negate(), now.at);
    renderer.clippingPlanes = now ? [cut] : [];
  }
  draw();
}

/** Points the camera from the viewpoint at the middle of the part. */
function look(): void {
  const { turnDegrees, heightDegrees } = props.folding.viewpoint.value;
  const turn = (turnDegrees * Math.PI) / 180,
    rise = (heightDegrees * Math.PI) / 180;
  const away = new Vector3(
    -Math.sin(turn) * Math.cos(rise),
    -Math.cos(turn) * Math.cos(rise),
    Math.sin(rise),
  ).multiplyScalar(radius.value * 3);
  camera.position.copy(middle.value).add(away);
  controls?.target.copy(middle.value);
  camera.lookAt(middle.value);
  controls?.update();
  fit();
}
function fit(): void {
  if (width.value < 10 || height.value < 10) return;
  const aspect = width.value / height.value,
    reach = radius.value * 1.12;
  const [h, v] = aspect > 1 ? [reach * aspect, reach] : [reach, reach / aspect];
  Object.assign(camera, { left: -h, right: h, top: v, bottom: -v });
  camera.updateProjectionMatrix();
  renderer?.setSize(width.value, height.value, false);
  draw();
}

onMounted(() => {
  const context = canvas.value!.getContext('webgl2', { antialias: true });
  if (!context) {
    emit('failed'); // no WebGL on this machine: the part is drawn instead
    return;
  }
  renderer = new WebGLRenderer({ canvas: canvas.value!, context });
  renderer.debug.checkShaderErrors = false; // asking waits for the compiler
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  controls = new OrbitControls(camera, canvas.value!);
  controls.addEventListener('change', draw);
  controls.addEventListener('start', () => {
    turnedAt = performance.now();
  });
  controls.addEventListener('end', () => {
    turnedAt = 0;
    setFineness(1);
  });
  build();
  look();
});
onBeforeUnmount(() => {
  cancelAnimationFrame(frameAsked);
  cancelAnimationFrame(making);
  controls?.dispose();
  clearOverlay();
  clearModel();
  for (const material of [board, opened, edging, ...Object.values(rods)]) material.dispose();
  renderer?.dispose();
});
watch([props.folding.plates, () => props.partId], build);
watch([props.folding.isClear, props.folding.section, () => props.highlighted, () => props.measured], decorate);
watch([props.folding.viewpoint, () => props.fitKey], look);
watch([width, height], fit);

let pressedAt: readonly [number, number] | undefined;
/** A click that does not turn the model picks what is in sight there. */
function release(event: PointerEvent): void {
  const moved = pressedAt ? Math.hypot(event.clientX - pressedAt[0], event.clientY - pressedAt[1]) : Infinity;
  if (moved > 4 || !canvas.value) return;
  const box = canvas.value.getBoundingClientRect();
  const ray = new Raycaster();
  ray.setFromCamera(
    new Vector2(((event.clientX - box.left) / box.width) * 2 - 1, 1 - ((event.clientY - box.top) / box.height) * 2),
    camera,
  );
  const hit = body && ray.intersectObject(body, false)[0];
  const plain = ({ x, y, z }: Vector3): Point3 => ({ x, y, z });
  emit(
    'pick',
    {
      from: plain(ray.ray.origin),
      direction: plain(ray.ray.direction),
      ...(hit ? { hit: plain(hit.point) } : {}),
    },
    (camera.right - camera.left) / camera.zoom / box.width,
  );
}
/** The picture as it stands, as a PNG. */
const picture = (): Promise<Blob | undefined> =>
  new Promise((resolve) => {
    renderer?.render(scene, camera);
    canvas.value?.toBlob((blob) => resolve(blob ?? undefined), 'image/png');
  });
defineExpose({ picture });
</script>

<template>
  <div ref="frame" class="model">
    <span
      v-for="(one, index) in labels"
      :key="index"
      class="figure figures"
      :class="one.tone"
      aria-hidden="true"
      :style="{ transform: `translate(${one.x.toFixed(0)}px, ${one.y.toFixed(0)}px) translate(10px, -50%)` }"
      >{{ one.text }}</span
    >
    <canvas
      ref="canvas"
      tabindex="0"
      role="img"
      :aria-label="label"
      @pointerdown="pressedAt = [$event.clientX, $event.clientY]"
      @pointerup="release"
    />
  </div>
</template>

<style scoped>
.model {
  position: absolute;
  inset: 0;
}
.figure {
  position: absolute;
  left: 0;
  top: 0;
  pointer-events: none;
  background: var(--brick);
  color: #fff;
  font-weight: 600;
  font-size: 15px;
  padding: 0 6px;
  border-radius: var(--radius);
}
.figure.good {
  background: #3f5a28;
}
.figure.plate {
  background: #1b333b;
  margin: 0 0 0 -20px;
  font-size: 14px;
  opacity: 0.85;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
}
</style>
