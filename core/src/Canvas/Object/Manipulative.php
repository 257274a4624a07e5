<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Manipulative\Act;
use Crag\Manipulative\ManipulativeKind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Values\Draw;

/**
 * A piece with settings and a state, its upper left corner in tenths. A change says what was done to it ("act"), so
 * that two hands at once do both; the rules of its kind say what comes of that.
 */
final readonly class Manipulative implements Handled
{
    public const TYPE = 'manipulative';

    public const CHANGEABLE = ['act', 'settings', 'free', 'x', 'y'];

    /** What students change of one that a teacher handed out. */
    public const HANDED_OUT = ['act', 'settings'];

    private function __construct(
        public ManipulativeKind $kind,
        public int $x,
        public int $y,
        public Values $settings,
        public Values $state,
        /** Whether students may change its settings where it was handed out. */
        public bool $free,
        /**
         * @var array<string, string> settings that each student is given by the prompt's values, as "{a}": until then
         *     they are as usual
         */
        public array $vary = [],
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = ManipulativeKind::tryFrom($fields->text('kind')) ??
            throw UnreadableFields::badValue('kind', 'is no manipulative');
        $settings = $kind->settings(self::map($fields, 'settings'));

        return new self(
            $kind,
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            $settings,
            $kind->state($settings, self::map($fields, 'state')),
            $fields->flag('free'),
            $kind->varied((self::map($fields, 'vary') ?? []) + (self::map($fields, 'settings') ?? [])),
        );
    }

    /** @return ?array<array-key, mixed> */
    private static function map(Fields $fields, string $name): ?array
    {
        return $fields->isNull($name) ? null : $fields->object($name)->all();
    }

    /**
     * The same with settings changed, as {@see ReadObject::settings} gives them. With other settings it begins anew.
     *
     * @param  array<string, mixed>  $set
     *
     * @throws UnreadableFields
     */
    public function with(array $set): self
    {
        $fields = new Fields($set);
        $settings = isset($set['settings']) ? $this->kind->settings($set['settings']) : null;
        $state = $settings === null ? $this->state : $this->kind->rules()::start($settings);
        $now = $settings ?? $this->settings;

        return new self(
            $this->kind,
            isset($set['x']) ? ReadField::position($fields, 'x') : $this->x,
            isset($set['y']) ? ReadField::position($fields, 'y') : $this->y,
            $now,
            isset($set['act']) ? $this->kind->rules()::after($now, $state, Act::read($fields->object('act'))) : $state,
            is_bool($set['free'] ?? null) ? $set['free'] : $this->free,
            $settings === null ? $this->vary : $this->kind->varied((array) $set['settings']),
        );
    }

    /**
     * What of a change counts where it was handed out.
     *
     * @param  array<string, mixed>  $set
     * @return array<string, mixed>
     */
    public function handedOut(array $set): array
    {
        return $this->free ? $set : array_diff_key($set, ['settings' => 0]);
    }

    /** As one student is given it, with the values that the student has. */
    public function filled(Draw $draw): self
    {
        $given = $this->settings->toArray();
        foreach ($given as $name => $value) {
            if (is_string($value)) {
                $given[$name] = $draw->fill($value);
            }
        }
        foreach ($this->vary as $name => $text) {
            // A true minus sign is none to PHP.
            $given[$name] = (int) str_replace('−', '-', $draw->fill($text));
        }
        $settings = $this->kind->settings($given);
        $isSame = $settings->toArray() === $this->settings->toArray();
        $state = $isSame ? $this->state : $this->kind->rules()::start($settings);

        return new self($this->kind, $this->x, $this->y, $settings, $state, $this->free);
    }

    public function sketch(): Sketch
    {
        $sketch = new Sketch();
        $this->kind->rules()::draw($this->settings, $this->state, $sketch);

        return $sketch;
    }

    public function says(): Said
    {
        return $this->kind->rules()::says($this->settings, $this->state);
    }

    /** Whether a hand has done something to it since its settings were chosen. */
    public function isWorked(): bool
    {
        return $this->state->toArray() !== $this->kind->rules()::start($this->settings)->toArray();
    }

    /** @return array<string, string> */
    public function facts(): array
    {
        return $this->kind->rules()::facts($this->settings, $this->state);
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'kind' => $this->kind->value,
            'x' => $this->x,
            'y' => $this->y,
            'settings' => $this->settings->toArray(),
            'state' => $this->state->toArray(),
        ] + ($this->free ? ['free' => true] : []) + ($this->vary === [] ? [] : ['vary' => $this->vary]);
    }

    public function tool(): Tool
    {
        return Tool::Pieces;
    }

    public function assets(): array
    {
        return [];
    }
}
