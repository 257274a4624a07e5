<?php

declare(strict_types=1);

namespace Crag\Watch;

/**
 * What a teacher wants to know of a canvas at a glance. Several can hold at once; they stand here in the order in
 * which a teacher wants to hear of them, and the frame of the tile says the first.
 */
enum CanvasState: string
{
    /** The student waits to be let in. */
    case Knocking = 'knocking';
    /** Something in it cannot be worked out: the others' go on. */
    case Unreadable = 'unreadable';
    /** The student's page does not answer. */
    case Away = 'away';
    case HandUp = 'hand_up';
    /** The student has sent it to the teacher. */
    case Sent = 'sent';
    /** The student has turned to another prompt. */
    case Elsewhere = 'elsewhere';
    /** Drawn on within {@see WatchSettings::$drawingSeconds}. */
    case Drawing = 'drawing';
    /** Drawn on before that, but not so long ago that it is worth a word. */
    case Pausing = 'pausing';
    /** Not drawn on for {@see WatchSettings::$quietMinutes}. */
    case Quiet = 'quiet';
    /** The student has never drawn on it. */
    case NotStarted = 'not_started';
    /** The teacher may not see it yet: of the work itself nothing is told. */
    case Covered = 'covered';

    private const MINUTE_MS = 60_000;

    /** In the frame of a tile, after the name. `:n` are whole minutes, `:p` is a prompt's number. */
    public function words(): string
    {
        return match ($this) {
            self::Knocking => 'knocking',
            self::Unreadable => 'can’t be read',
            self::Away => 'away',
            self::HandUp => 'hand up',
            self::Sent => 'sent',
            self::Elsewhere => 'at prompt :p',
            self::Drawing => 'drawing now',
            self::Pausing => 'paused',
            self::Quiet => 'quiet :n min',
            self::NotStarted => 'not started',
            self::Covered => 'covered',
        };
    }

    /** The same where a tile is small. */
    public function shortWords(): string
    {
        return match ($this) {
            self::Unreadable => '?',
            self::HandUp => 'hand',
            self::Elsewhere => 'at :p',
            self::Drawing => 'draws',
            self::Quiet => ':n min',
            self::NotStarted => 'new',
            default => $this->words(),
        };
    }

    /** Above a count. */
    public function heading(): string
    {
        return match ($this) {
            self::Knocking => 'Knocking',
            self::Unreadable => 'Can’t be read',
            self::Away => 'Away',
            self::HandUp => 'Hand up',
            self::Sent => 'Sent',
            self::Elsewhere => 'Elsewhere',
            self::Drawing => 'Drawing',
            self::Pausing => 'Paused',
            self::Quiet => 'Quiet',
            self::NotStarted => 'Not started',
            self::Covered => 'Covered',
        };
    }

    /** Whether its count is worth showing only while there are any. */
    public function isRare(): bool
    {
        return match ($this) {
            self::HandUp, self::Sent, self::Elsewhere, self::Covered, self::Unreadable, self::Knocking => true,
            default => false,
        };
    }

    /** @return list<self> of canvases, as a teacher reads their counts: first those who work */
    public static function counted(): array
    {
        return [
            self::Drawing,
            self::Pausing,
            self::Quiet,
            self::NotStarted,
            self::HandUp,
            self::Sent,
            self::Elsewhere,
            self::Covered,
            self::Unreadable,
            self::Away,
        ];
    }

    /** @return list<self> of canvases, as they are sorted by state: first those who need somebody */
    public static function sorted(): array
    {
        return [
            self::HandUp,
            self::Sent,
            self::Quiet,
            self::NotStarted,
            self::Pausing,
            self::Drawing,
            self::Elsewhere,
            self::Away,
            self::Covered,
            self::Unreadable,
        ];
    }

    /** @return non-empty-list<self> */
    public static function all(Watched $canvas, WatchSettings $settings, int $nowMs): array
    {
        if ($canvas->isKnocking) {
            return [self::Knocking];
        }
        $work = match (true) {
            $canvas->isCovered => self::Covered,
            $canvas->lastStrokeMs === null => self::NotStarted,
            $nowMs - $canvas->lastStrokeMs <= $settings->drawingSeconds * 1000 => self::Drawing,
            $nowMs - $canvas->lastStrokeMs < $settings->quietMinutes * self::MINUTE_MS => self::Pausing,
            default => self::Quiet,
        };
        $states = array_keys(
            array_filter([
                self::Unreadable->value => $canvas->isUnreadable,
                self::Away->value => ! $canvas->isHere,
                self::HandUp->value => $canvas->hasHandUp,
                self::Sent->value => $canvas->sentAtMs !== null,
                self::Elsewhere->value => $canvas->isElsewhere,
                // Whoever is away draws nothing that could be seen.
                $work->value => $canvas->isHere || $work !== self::Drawing,
            ]),
        );

        return array_map(self::from(...), $states === [] ? [$work->value] : $states);
    }

    /**
     * Whole minutes since the last stroke, as the word on a quiet tile counts them: none before they are worth a word.
     */
    public static function quietMinutes(?int $lastStrokeMs, WatchSettings $settings, int $nowMs): int
    {
        $minutes = $lastStrokeMs === null ? 0 : max(0, intdiv($nowMs - $lastStrokeMs, self::MINUTE_MS));

        return $minutes >= $settings->quietMinutes ? $minutes : 0;
    }
}
