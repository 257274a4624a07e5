/** Pictures that are asked for once, and drawn when they have come. */
export class Pictures {
    private readonly known = new Map<string, HTMLImageElement>();

    constructor(
        private address: string,
        private readonly come: () => void,
    ) {}

    /** They come from another address from now on. Answers whether it is another. */
    from(address: string): boolean {
        const isOther = address !== this.address;
        if (isOther) {
            this.address = address;
            this.known.clear();
        }
        return isOther;
    }

    /** Null until it is there. */
    of(asset: string): HTMLImageElement | null {
        let picture = this.known.get(asset);
        if (picture === undefined) {
            picture = new Image();
            picture.onload = this.come;
            picture.src = `${this.address}/${asset}`;
            this.known.set(asset, picture);
        }
        return picture.complete && picture.naturalWidth > 0 ? picture : null;
    }
}
