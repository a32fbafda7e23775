// Builds the metal of a run as a mesh with manifold-3d and reports its volume and the volume of its bore, in mm³.
import Module from 'manifold-3d';

const { od, bore, segments } = JSON.parse(await new Response(process.stdin).text());
const wasm = await Module();
wasm.setup();
const { CrossSection, Manifold } = wasm;
const facets = 256;

const volumeOf = (diameter) => {
    let sum = 0;
    for (const { length, clr, angle } of segments) {
        const solid =
            clr > 0
                ? Manifold.revolve(
                      CrossSection.circle(diameter / 2, facets).translate([clr, 0]),
                      facets * 4,
                      angle,
                  )
                : Manifold.cylinder(length, diameter / 2, diameter / 2, facets);
        sum += solid.volume();
    }
    return sum;
};
const outside = volumeOf(od);
const inside = volumeOf(bore);
console.log(JSON.stringify({ metal: outside - inside, bore: inside }));
