import type { Palette } from '@/ui/palette';

import { looksIn, ROW, rowsOf, type Outline } from './balloonRows';
import { FRAGMENT, VERTEX } from './balloonShader';
import type { Scene, SceneBalloon, SceneDisc, SceneShape, SceneTube, Vec } from './scene';
import * as three from './three';
import type { View } from './view';

/** Sharper than this no eye sees on a balloon, and no phone draws quickly. */
const MOST_SHARP = 2;
const OUTLINE_PX = 2.2;
/** Corners around a tube, and along it. */
const ROUND = 16;
const LONG = 96;

/** A scene drawn by the graphics hardware on a canvas of its own. */
export interface Stage {
  /** What is drawn from now on. */
  set(scene: Scene, outlineOf: (balloon: SceneBalloon, i: number) => Outline): void;
  /** Colours of the outlines. */
  paint(palette: Palette): void;
  /** Draws it as it is looked at, with so many of its steps built. */
  draw(view: View, built: number): void;
  close(): void;
}

/**
 * Opens a stage on a canvas. Balloons have soft edges of their own; poles and plates are `smooth` only where there is
 * hardware for it: without, that takes a quarter of a frame's time. Throws where the browser has no WebGL 2.
 */
export function openStage(canvas: HTMLCanvasElement, smooth: boolean): Stage {
  const renderer = new three.WebGLRenderer({ canvas, alpha: true, antialias: smooth, powerPreference: 'low-power' });
  const world = new three.Scene();
  const camera = new three.PerspectiveCamera();
  camera.matrixAutoUpdate = false;
  camera.matrixWorldAutoUpdate = false;
  const balloons = new Balloons();
  const held = new three.Group();
  // What holds a piece is lit as its balloons are: from the upper left of whoever looks.
  const lamp = new three.DirectionalLight('#ffffff', 2);
  world.add(balloons.mesh, held, lamp, new three.HemisphereLight('#ffffff', '#8a8278', 1.6));
  const size = new three.Vector2();
  return {
    set(scene, outlineOf) {
      balloons.set(scene, outlineOf);
      emptied(held);
      for (const tube of scene.tubes) held.add(...tubeMeshes(tube));
      for (const disc of scene.discs) held.add(discMesh(disc));
      if (scene.shapes?.length) held.add(shapesMesh(scene.shapes));
    },
    paint({ ink, out }) {
      balloons.paint(ink, out);
    },
    draw(view, built) {
      const sharp = Math.min(MOST_SHARP, devicePixelRatio);
      if (renderer.getPixelRatio() !== sharp) renderer.setPixelRatio(sharp);
      renderer.getSize(size);
      if (size.x !== view.width || size.y !== view.height) renderer.setSize(view.width, view.height, false);
      aim(camera, view);
      lamp.position.copy(vector(view.right)).multiplyScalar(-0.5);
      lamp.position.addScaledVector(vector(view.up), 0.7).addScaledVector(vector(view.into), -0.6);
      balloons.look(view, built, sharp);
      renderer.render(world, camera);
    },
    close() {
      emptied(held);
      balloons.dispose();
      renderer.dispose();
      // Browsers keep few of them: what is not given back is missing on the next page.
      renderer.forceContextLoss();
    },
  };
}

const vector = ([x, y, z]: Vec) => new three.Vector3(x, y, z);

/** Puts a camera where a view's eye is, with the view's own projection. */
function aim(camera: three.PerspectiveCamera, { eye, right, up, into, ...view }: View): void {
  camera.matrixWorld.makeBasis(vector(right), vector(up), vector(into).negate()).setPosition(...eye);
  camera.matrixWorldInverse.copy(camera.matrixWorld).invert();
  const near = Math.max(1, view.distanceMm - 1.5 * view.radiusMm);
  const [x, y] = view.middle;
  const share = near / view.focalPx;
  camera.projectionMatrix.makePerspective(
    -x * share,
    (view.width - x) * share,
    y * share,
    (y - view.height) * share,
    near,
    view.distanceMm + 1.5 * view.radiusMm,
  );
  camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert();
}

/** The two triangles of an oblong, by its corners. */
const SQUARE = [0, 1, 2, 0, 2, 3] as const;

/** The corners of so many oblongs. */
const cornersOf = (oblongs: number) =>
  Float32Array.from({ length: 8 * oblongs }, (_, i) => [-1, -1, 1, -1, 1, 1, -1, 1][i % 8]!);

/** Every balloon of a scene, as one mesh. */
class Balloons {
  private readonly geometry = new three.BufferGeometry();
  private readonly material = new three.RawShaderMaterial({
    glslVersion: three.GLSL3,
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    transparent: true,
    defines: {},
    uniforms: {
      ...Object.fromEntries(
        ['eye', 'viewRight', 'viewUp', 'viewInto'].map((name) => [name, { value: new three.Vector3() }]),
      ),
      chosenInk: { value: new three.Color() },
      wrongInk: { value: new three.Color() },
      mmPerPoint: { value: 1 },
      outlinePoints: { value: OUTLINE_PX },
    },
  });
  readonly mesh = new three.Mesh(this.geometry, this.material);
  private scene: Scene | null = null;
  private order: number[] = [];

  constructor() {
    // Oblongs are placed by the shader: the mesh itself knows no bounds.
    this.mesh.frustumCulled = false;
  }

  set(scene: Scene, outlineOf: (balloon: SceneBalloon, i: number) => Outline): void {
    this.scene = scene;
    const rows = rowsOf(scene, outlineOf);
    const { length } = scene.balloons;
    this.order = scene.balloons.map((_, i) => i);
    const looks = looksIn(scene);
    if (Object.keys(looks).join() !== Object.keys(this.material.defines).join()) {
      this.material.defines = looks;
      this.material.needsUpdate = true;
    }
    // Hardware keeps room for as many as there were when they were first drawn.
    if (this.geometry.getAttribute('corner')?.count !== 4 * length) {
      this.geometry.dispose();
      this.geometry.setAttribute('corner', new three.BufferAttribute(cornersOf(length), 2));
      this.geometry.setIndex(
        new three.BufferAttribute(new Uint32Array(6 * length), 1).setUsage(three.DynamicDrawUsage),
      );
      for (const part of ROW)
        this.geometry.setAttribute(part, new three.BufferAttribute(new Float32Array(16 * length), 4));
    }
    for (const part of ROW) {
      const attribute = this.geometry.getAttribute(part) as three.BufferAttribute;
      // Each of its four corners knows the whole balloon.
      for (let at = 0; at < 16 * length; at += 1) attribute.array[at] = rows[part][4 * (at >> 4) + (at & 3)]!;
      attribute.needsUpdate = true;
    }
  }

  /** Lays the balloons from the farthest to the nearest: edges and clear skins are blended with what is behind. */
  look({ eye, right, up, into, focalPx, distanceMm }: View, built: number, sharp: number): void {
    const { scene } = this;
    if (!scene) return;
    const depths = scene.balloons.map(({ at }) => at[0] * into[0] + at[1] * into[1] + at[2] * into[2]);
    this.order.sort((a, b) => depths[b]! - depths[a]!);
    const index = this.geometry.index!;
    let drawn = 0;
    for (const i of this.order) {
      if (scene.balloons[i]!.step >= built) continue;
      for (const corner of SQUARE) index.array[drawn++] = 4 * i + corner;
    }
    index.needsUpdate = true;
    this.geometry.setDrawRange(0, drawn);
    const { uniforms } = this.material;
    uniforms['eye']!.value.set(...eye);
    uniforms['viewRight']!.value.set(...right);
    uniforms['viewUp']!.value.set(...up);
    uniforms['viewInto']!.value.set(...into);
    uniforms['mmPerPoint']!.value = distanceMm / focalPx / sharp;
    uniforms['outlinePoints']!.value = OUTLINE_PX * sharp;
  }

  paint(chosen: string, wrong: string): void {
    this.material.uniforms['chosenInk']!.value.set(chosen);
    this.material.uniforms['wrongInk']!.value.set(wrong);
  }

  dispose(): void {
    this.geometry.dispose();
    this.material.dispose();
  }
}

/** A tube, and its middle as a line: that is seen too from where the tube is thinner than a point. */
function tubeMeshes({ line, widthMm, hex }: SceneTube): Held[] {
  const curve = new three.CatmullRomCurve3(line.map(vector));
  const long = line.length === 2 ? 1 : LONG;
  const tube = new three.TubeGeometry(curve, long, widthMm / 2, ROUND);
  const middle = new three.BufferGeometry().setFromPoints(curve.getPoints(long));
  return [
    new three.Mesh(tube, new three.MeshLambertMaterial({ color: hex })),
    new three.Line(middle, new three.LineBasicMaterial({ color: hex })),
  ];
}

function discMesh({ at, widthMm, highMm, hex }: SceneDisc): three.Mesh {
  const geometry = new three.CylinderGeometry(widthMm / 2, widthMm / 2, highMm, 3 * ROUND);
  // A cylinder of three stands along y.
  geometry.rotateX(Math.PI / 2);
  const mesh = new three.Mesh(geometry, new three.MeshLambertMaterial({ color: hex }));
  mesh.position.set(at[0], at[1], at[2] + highMm / 2);
  return mesh;
}

/** All shapes as one mesh: balls of width 1, each pulled to its own. */
function shapesMesh(shapes: readonly SceneShape[]): three.InstancedMesh {
  const ball = new three.SphereGeometry(0.5, ROUND, ROUND);
  const mesh = new three.InstancedMesh(ball, new three.MeshLambertMaterial(), shapes.length);
  const [at, size, turn] = [new three.Vector3(), new three.Vector3(), new three.Quaternion()];
  const upright = new three.Vector3(0, 1, 0);
  const matrix = new three.Matrix4();
  const colour = new three.Color();
  shapes.forEach((shape, i) => {
    const { widthMm, aspect, axis, hex } = shape;
    turn.setFromUnitVectors(upright, vector(axis));
    matrix.compose(at.set(...shape.at), turn, size.set(widthMm, aspect * widthMm, widthMm));
    mesh.setMatrixAt(i, matrix);
    mesh.setColorAt(i, colour.set(hex));
  });
  // It knows no bounds of those that it is made of.
  mesh.frustumCulled = false;
  return mesh;
}

/** What holds a piece, as it is drawn. */
type Held = three.Mesh<three.BufferGeometry, three.Material> | three.Line<three.BufferGeometry, three.Material>;

/** Gives back what a group's meshes hold. */
function emptied(group: three.Group): void {
  for (const { geometry, material } of group.children as Held[]) {
    geometry.dispose();
    material.dispose();
  }
  group.clear();
}
