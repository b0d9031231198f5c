export type Light = 'system' | 'paper' | 'lamp';

const KEY = 'neat-almanac-light';

export function currentLight(): Light {
    const kept = localStorage.getItem(KEY);
    return kept === 'paper' || kept === 'lamp' ? kept : 'system';
}

/** Sets the light of the page and keeps it for this browser. */
export function setLight(light: Light): void {
    if (light === 'system') {
        localStorage.removeItem(KEY);
        delete document.documentElement.dataset.light;
    } else {
        localStorage.setItem(KEY, light);
        document.documentElement.dataset.light = light;
    }
}
