/**
 * Who says something does not know who hears it. `Told` names what can be said, and what stands in it; those who
 * listen hear in the order in which they came.
 */
export class Bus<Told> {
    private readonly listeners: { [Type in keyof Told]?: ((body: Told[Type]) => void)[] } = {};

    on<Type extends keyof Told>(type: Type, hear: (body: Told[Type]) => void): void {
        (this.listeners[type] ??= []).push(hear);
    }

    tell<Type extends keyof Told>(type: Type, body: Told[Type]): void {
        this.listeners[type]?.forEach((hear) => hear(body));
    }
}
