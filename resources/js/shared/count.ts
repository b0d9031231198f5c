/** "1 letter", "1,200 letters". */
export function count(many: number, what: string): string {
    return `${many.toLocaleString('en')} ${many === 1 ? what : `${what}s`}`;
}
