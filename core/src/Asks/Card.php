<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;

/**
 * One step of a run: a quick ask, or what everyone looks at between two of them.
 *
 * JSON form: {"kind": "ask", "question": {…}, "seconds": null or 5 to 3600, "picture": an asset's id or "",
 * "look": "none", "bars" or "right"}; {"kind": "worked", "words", "picture", "seconds"}; {"kind": "work", "seconds"}.
 * A line in place of it is read as {@see AskLine}.
 */
final readonly class Card
{
    public const MOST = 40;

    private const LONGEST_WORDS = 500;

    private function __construct(
        public CardKind $kind,
        public ?Question $question,
        public string $words,
        public string $picture,
        public ?int $seconds,
        public Look $look,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = CardKind::from($fields->oneOf('kind', array_column(CardKind::cases(), 'value'), CardKind::Ask->value));
        $isAsk = $kind === CardKind::Ask;
        $question = $isAsk ? self::question($fields->object('question')) : null;
        $words = $isAsk || ! $fields->has('words') ? '' : trim($fields->text('words', self::LONGEST_WORDS));
        $picture = $kind !== CardKind::Work && $fields->has('picture') ? $fields->text('picture', 40) : '';
        if ($kind === CardKind::Worked && $words === '' && $picture === '') {
            throw UnreadableFields::saying('Write the worked answer, or give it a picture.');
        }

        return new self(
            $kind,
            $question,
            $question->words ?? $words,
            $picture,
            $fields->isNull('seconds')
                ? null
                : $fields->whole('seconds', AskLine::LEAST_SECONDS, AskLine::LONGEST_SECONDS),
            Look::from($fields->oneOf('look', array_column(Look::cases(), 'value'), Look::None->value)),
        );
    }

    public static function ofLine(AskLine $line): self
    {
        return new self(CardKind::Ask, $line->question, $line->question->words, '', $line->seconds, Look::None);
    }

    /**
     * @param  array<array-key, mixed>  $cards  each in its JSON form, or as a line
     * @return list<self>
     *
     * @throws UnreadableFields
     */
    public static function list(array $cards): array
    {
        return array_map(self::one(...), array_values($cards));
    }

    /**
     * @param  mixed  $card  in its JSON form, or as a line
     *
     * @throws UnreadableFields
     */
    public static function one(mixed $card): self
    {
        return match (true) {
            is_string($card) => self::ofLine(AskLine::read($card)),
            is_array($card) => self::read(new Fields($card)),
            default => throw UnreadableFields::saying('This is neither a card nor a line.'),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] + match ($this->kind) {
            CardKind::Ask => [
                'question' => $this->question?->toArray(),
                'picture' => $this->picture,
                'look' => $this->look->value,
            ],
            CardKind::Worked => ['words' => $this->words, 'picture' => $this->picture],
            CardKind::Work => [],
        } + ['seconds' => $this->seconds];
    }

    public function lasts(int $seconds): int
    {
        return $this->seconds ?? $seconds;
    }

    /** Whether a step on shows the answers first. */
    public function isLookedAtFirst(?int $lookedAtMs): bool
    {
        return $this->look !== Look::None && $lookedAtMs === null;
    }

    /**
     * When a run that moves on by itself takes its next step.
     *
     * @param  ?int  $overAtMs  when its time is up, or was
     * @param  ?int  $lookedAtMs  when the answers were shown
     */
    public function stepsAt(?int $overAtMs, ?int $lookedAtMs): ?int
    {
        return match (true) {
            $overAtMs === null => null,
            $this->kind !== CardKind::Ask, $this->isLookedAtFirst($lookedAtMs) => $overAtMs,
            default => max($overAtMs, $lookedAtMs ?? 0) + $this->look->stays(),
        };
    }

    /** Every card's question is the one question of a quick ask. */
    private static function question(Fields $fields): Question
    {
        try {
            return Question::toAsk($fields);
        } catch (UnreadableFields) {
            throw UnreadableFields::saying('Give it choices, or an answer students can give.');
        }
    }
}
