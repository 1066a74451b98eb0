'use client';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { BoxGeometry, BufferGeometry, EdgesGeometry, Matrix4, MOUSE, TOUCH, Vector3, type PerspectiveCamera } from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Body, ModelScene } from '@/core/view/model-scene';
import type { Point } from '@/core/document/place';

export interface ModelHands {
  /** a quarter of a right angle to the left or right, seen from above */
  turn: (by: 1 | -1) => void;
  fit: () => void;
}

interface Props {
  scene: ModelScene;
  picked: string | null;
  onPick: (id: string | null) => void;
  onHands: (hands: ModelHands) => void;
  onDrawn: () => void;
}

const ink = {
  steel: '#b5705c',
  edge: '#5a2316',
  pencil: '#8b8578',
  stop: '#d4140a',
  hanging: '#c98a1e',
  gear: '#3b4f5c',
  ground: '#e4dcca',
  picked: '#22282c',
};

/** The structure in space: turned with the pointer or a finger, nearer with the wheel or two fingers. */
export default function ModelCanvas({ scene, picked, onPick, onHands, onDrawn }: Props) {
  // About its own middle: far from the origin small things would tremble.
  const middle = useMemo(() => middleOf(scene), [scene]);
  return (
    <Canvas
      frameloop="demand"
      flat
      camera={{ fov: 35, near: 0.1, far: 5000, up: [0, 0, 1] }}
      onPointerMissed={() => onPick(null)}
      style={{ touchAction: 'none' }}
      aria-hidden
    >
      <color attach="background" args={['#f7f4ec']} />
      <ambientLight intensity={1.9} />
      <directionalLight position={[3, -5, 9]} intensity={1.9} />
      <directionalLight position={[-6, 4, 3]} intensity={0.7} />
      <Hands scene={scene} onHands={onHands} onDrawn={onDrawn} />
      <group position={[-middle.x, -middle.y, -middle.z]}>
        <Ground scene={scene} />
        {scene.bodies.map((body) => (
          <BodyMesh key={body.id} body={body} picked={picked === body.id} onPick={onPick} />
        ))}
        {scene.ties.map((tie) => (
          <Line key={tie.id} from={tie.from} to={tie.to} colour={tie.in ? ink.gear : ink.pencil} dashed={!tie.in} />
        ))}
        {scene.feet.map((foot, i) => (
          <mesh key={`${foot.id} ${i}`} position={[foot.at.x, foot.at.y, foot.at.z - 0.15]} visible={!foot.struck}>
            <boxGeometry args={[foot.size, foot.size, 0.3]} />
            <meshLambertMaterial color={foot.stands ? ink.gear : ink.pencil} transparent={!foot.stands} opacity={foot.stands ? 1 : 0.35} />
          </mesh>
        ))}
      </group>
    </Canvas>
  );
}

const middleOf = ({ min, max }: ModelScene): Point => ({ x: (min.x + max.x) / 2, y: (min.y + max.y) / 2, z: (min.z + max.z) / 2 });

/** Looks from the south-west and above, as far off as shows all of it. */
function Hands({ scene, onHands, onDrawn }: Pick<Props, 'scene' | 'onHands' | 'onDrawn'>) {
  const { camera, gl, invalidate } = useThree();
  const size = useRef(10);
  const controls = useMemo(() => {
    const made = new OrbitControls(camera, gl.domElement);
    made.mouseButtons = { LEFT: MOUSE.ROTATE, MIDDLE: MOUSE.DOLLY, RIGHT: MOUSE.PAN };
    made.touches = { ONE: TOUCH.ROTATE, TWO: TOUCH.DOLLY_PAN };
    made.enableDamping = false;
    made.maxPolarAngle = Math.PI * 0.95;
    return made;
  }, [camera, gl]);
  useEffect(() => {
    const redraw = () => invalidate();
    controls.addEventListener('change', redraw);
    return () => {
      controls.removeEventListener('change', redraw);
      controls.dispose();
    };
  }, [controls, invalidate]);
  const { min, max } = scene;
  const across = Math.max(2, Math.hypot(max.x - min.x, max.y - min.y, max.z - min.z));
  useEffect(() => {
    size.current = across;
    const look = (azimuth: number, distance: number) => {
      const high = 0.42;
      camera.position.set(-Math.cos(azimuth) * Math.cos(high) * distance, -Math.sin(azimuth) * Math.cos(high) * distance, Math.sin(high) * distance);
      controls.target.set(0, 0, 0);
      controls.update();
      invalidate();
    };
    const far = () => {
      const wide = (camera as PerspectiveCamera).aspect < 1 ? 1 / (camera as PerspectiveCamera).aspect : 1;
      return (size.current * 0.53 * wide) / Math.tan(((camera as PerspectiveCamera).fov * Math.PI) / 360);
    };
    look(Math.PI / 3, far());
    onHands({
      fit: () => look(Math.PI / 3, far()),
      turn: (by) => {
        const from = camera.position.clone().sub(controls.target);
        from.applyAxisAngle(new Vector3(0, 0, 1), (by * Math.PI) / 8);
        camera.position.copy(controls.target.clone().add(from));
        controls.update();
        invalidate();
      },
    });
  }, [across, camera, controls, invalidate, onHands]);
  useEffect(() => {
    const frame = requestAnimationFrame(() => requestAnimationFrame(onDrawn));
    return () => cancelAnimationFrame(frame);
  }, [scene, onDrawn]);
  return null;
}

function Ground({ scene: { min, max, feet } }: { scene: ModelScene }) {
  const level = Math.min(min.z, ...feet.map(({ at }) => at.z)) - 0.32;
  const [x, y] = [max.x - min.x + 6, max.y - min.y + 6];
  return (
    <mesh position={[(min.x + max.x) / 2, (min.y + max.y) / 2, level]}>
      <planeGeometry args={[x, y]} />
      <meshBasicMaterial color={ink.ground} />
    </mesh>
  );
}

/** The plates of a piece in its own axes: x along it, y across, z up. */
function geometryOf({ from, to, plates }: Body): BufferGeometry {
  const length = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  const boxes = plates.map(({ up, side, height, width }) => new BoxGeometry(length, width, height).translate(length / 2, side, up));
  return mergeGeometries(boxes) ?? new BoxGeometry(length, 0.2, 0.2);
}

/** Turns those axes to where the piece runs, its web as plumb as it can be. */
function placeOf({ from, to }: Body): Matrix4 {
  const along = new Vector3(to.x - from.x, to.y - from.y, to.z - from.z).normalize();
  const steep = Math.abs(along.z) > 0.99;
  const across = steep ? new Vector3(0, 1, 0) : new Vector3(0, 0, 1).cross(along).normalize();
  const up = along.clone().cross(across).normalize();
  return new Matrix4().makeBasis(along, across, up).setPosition(from.x, from.y, from.z);
}

function BodyMesh({ body, picked, onPick }: { body: Body; picked: boolean; onPick: Props['onPick'] }) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => geometryOf(body), [body]);
  const edges = useMemo(() => new EdgesGeometry(geometry, 30), [geometry]);
  const matrix = useMemo(() => placeOf(body), [body]);
  useEffect(() => () => void (geometry.dispose(), edges.dispose()), [geometry, edges]);
  useEffect(() => invalidate(), [invalidate, picked, body]);
  const there = body.stands !== 'away';
  const colour = picked ? ink.picked : body.stopped ? ink.stop : body.stands === 'hanging' ? ink.hanging : ink.steel;
  return (
    <group matrix={matrix} matrixAutoUpdate={false}>
      <mesh
        geometry={geometry}
        onClick={(event) => {
          event.stopPropagation();
          onPick(body.id);
        }}
      >
        <meshLambertMaterial color={there || picked ? colour : ink.ground} transparent={!there} opacity={there ? 1 : picked ? 0.5 : 0.12} depthWrite={there} />
      </mesh>
      <lineSegments geometry={edges} raycast={() => null}>
        <lineBasicMaterial color={there ? ink.edge : ink.pencil} transparent opacity={there ? 1 : 0.6} />
      </lineSegments>
    </group>
  );
}

function Line({ from, to, colour, dashed }: { from: Point; to: Point; colour: string; dashed: boolean }) {
  const geometry = useMemo(() => new BufferGeometry().setFromPoints([new Vector3(from.x, from.y, from.z), new Vector3(to.x, to.y, to.z)]), [from, to]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <lineSegments geometry={geometry} raycast={() => null}>
      <lineBasicMaterial color={colour} transparent opacity={dashed ? 0.5 : 1} />
    </lineSegments>
  );
}
