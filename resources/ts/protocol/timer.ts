/** A timer as the server tells it: when it is at zero, on the server's clock, or what is left while it is paused. */
export interface Timer {
    ends: number | null;
    left: number;
    sound: boolean;
    pens: boolean;
}
