/** What a student sees of a check: App\Sessions\Checks\FeedbackForStudent. */
export interface SeenCheck {
    canvas: string;
    n: number;
    level: number | null;
    words: string;
    points: number | null;
    most: number | null;
    note: string;
}
