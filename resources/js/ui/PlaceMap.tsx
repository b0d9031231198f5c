import { geoAlbersUsa, geoCentroid, geoMercator, geoPath, type GeoPermissibleObjects } from 'd3-geo';
import styled from 'styled-components';
import { feature } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import states from 'us-atlas/states-10m.json';
import world from 'world-atlas/countries-110m.json';

const WIDTH = 560;
const HEIGHT = 340;

const Map = styled.svg`
    width: 100%;
    border: 1px solid var(--rule);
    background: var(--wash);
    path { fill: var(--sheet); stroke: var(--edge); stroke-width: 0.6; }
    path.here { fill: var(--accent-wash); }
    circle { fill: var(--stop); stroke: var(--sheet); stroke-width: 2; }
`;

interface Shape {
    name: string;
    geometry: GeoPermissibleObjects;
}

function shapes(topology: unknown, layer: string): Shape[] {
    const atlas = topology as Topology<Record<string, GeometryCollection<{ name: string }>>>;
    const collection = atlas.objects[layer];
    return collection === undefined ? [] : feature(atlas, collection).features.map((one) => ({ name: one.properties.name, geometry: one }));
}

export interface Spot {
    longitude: number;
    latitude: number;
    /** How near it is: the postcode, the state or the country. */
    what: string;
}

/** Where the middle of a state of the USA, or of a country, lies; undefined for one that the atlas has not. */
export function middleOf(name: string, isState: boolean): Spot | undefined {
    const shape = shapes(isState ? states : world, isState ? 'states' : 'countries').find((one) => one.name === name);
    if (shape === undefined) {
        return undefined;
    }
    const [longitude, latitude] = geoCentroid(shape.geometry as Parameters<typeof geoCentroid>[0]);
    return { longitude, latitude, what: `the middle of ${name}` };
}

/** A small map that ships with the program, with a mark. */
export function PlaceMap({ spot, within, isUsa }: { spot: Spot; within: string; isUsa: boolean }) {
    const land = shapes(isUsa ? states : world, isUsa ? 'states' : 'countries');
    const projection = isUsa
        ? geoAlbersUsa().fitSize([WIDTH, HEIGHT], { type: 'FeatureCollection', features: land.map(({ geometry }) => geometry) } as never)
        : geoMercator().center([spot.longitude, spot.latitude]).scale(620).translate([WIDTH / 2, HEIGHT / 2]);
    const path = geoPath(projection);
    const point = projection([spot.longitude, spot.latitude]);
    return (
        <Map viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`A map with a mark at ${spot.what}`}>
            {land.map(({ name, geometry }) => <path key={name} className={name === within ? 'here' : ''} d={path(geometry) ?? ''} />)}
            {point !== null && <circle cx={point[0]} cy={point[1]} r={7} />}
        </Map>
    );
}
