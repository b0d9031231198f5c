import { geoArea, geoCentroid, type GeoPermissibleObjects } from 'd3-geo';
import { feature } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';
import states from 'us-atlas/states-10m.json';
import world from 'world-atlas/countries-110m.json';

/** Of the atlas that ships with the program: a country (Natural Earth, by world-atlas) or a state (US Census Bureau, by us-atlas). */
export interface Shape {
    /** Of a country, its number in ISO 3166-1. */
    id: string;
    name: string;
    geometry: GeoPermissibleObjects;
}

function shapes(topology: unknown, layer: string): Shape[] {
    const atlas = topology as Topology<Record<string, GeometryCollection<{ name: string }>>>;
    const collection = atlas.objects[layer];
    return collection === undefined ? [] : feature(atlas, collection).features.map((one) => ({
        id: String(one.id ?? ''), name: one.properties.name, geometry: one,
    }));
}

let atlas: { countries: Shape[]; states: Shape[] } | undefined;

export function readAtlas() {
    atlas ??= { countries: shapes(world, 'countries'), states: shapes(states, 'states') };
    return atlas;
}

/** Where the middle of a shape lies, of its largest part where it has several: longitude and latitude in degrees. */
export function middleOfShape({ geometry }: Shape): [number, number] {
    const one = geometry as { geometry?: { type: string; coordinates: unknown[] } };
    const parts: GeoPermissibleObjects[] = one.geometry?.type === 'MultiPolygon'
        ? one.geometry.coordinates.map((coordinates) => ({ type: 'Polygon', coordinates }) as GeoPermissibleObjects)
        : [geometry];
    return geoCentroid(parts.reduce((largest, part) => geoArea(part) > geoArea(largest) ? part : largest));
}
