import { geoAlbersUsa, geoMercator, geoPath } from 'd3-geo';
import styled from 'styled-components';
import { middleOfShape, readAtlas } from './atlas';

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

export interface Spot {
    longitude: number;
    latitude: number;
    /** How near it is: the postcode, the state or the country. */
    what: string;
}

/** Where the middle of a state of the USA, or of a country, lies; undefined for one that the atlas has not. */
export function middleOf(name: string, isState: boolean): Spot | undefined {
    const { states, countries } = readAtlas();
    const shape = (isState ? states : countries).find((one) => one.name === name);
    if (shape === undefined) {
        return undefined;
    }
    const [longitude, latitude] = middleOfShape(shape);
    return { longitude, latitude, what: `the middle of ${name}` };
}

/** A small map that ships with the program, with a mark. */
export function PlaceMap({ spot, within, isUsa }: { spot: Spot; within: string; isUsa: boolean }) {
    const { states, countries } = readAtlas();
    const land = isUsa ? states : countries;
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
