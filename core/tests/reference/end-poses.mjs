// Follows runs given as length-rotation-angle with three.js matrices: an implementation apart from the core's own.
import { Matrix4, Vector3 } from 'three';

const runs = JSON.parse(await new Response(process.stdin).text());
const radians = (degrees) => (degrees * Math.PI) / 180;

// Local axes of a station: x is the throat line, z is the way the gas flows.
const answers = runs.map(({ start, bends, endStraight }) => {
    const z = new Vector3(...start.forward);
    const x = new Vector3(...start.reference);
    const pose = new Matrix4().makeBasis(x, new Vector3().crossVectors(z, x), z).setPosition(...start.at);
    for (const { straight, rotation, angle, clr } of bends) {
        pose.multiply(new Matrix4().makeTranslation(0, 0, straight));
        pose.multiply(new Matrix4().makeRotationZ(radians(rotation)));
        // A bend is a turn about an axis through its centre, which lies on the throat line one radius away.
        pose.multiply(new Matrix4().makeTranslation(clr, 0, 0));
        pose.multiply(new Matrix4().makeRotationY(radians(angle)));
        pose.multiply(new Matrix4().makeTranslation(-clr, 0, 0));
    }
    pose.multiply(new Matrix4().makeTranslation(0, 0, endStraight));
    const forward = new Vector3();
    const reference = new Vector3();
    pose.extractBasis(reference, new Vector3(), forward);
    return {
        at: new Vector3().setFromMatrixPosition(pose).toArray(),
        forward: forward.toArray(),
        reference: reference.toArray(),
    };
});
console.log(JSON.stringify(answers));
