<?php

declare(strict_types=1);

namespace Crag\Plan;

/** What of a prompt has changed between two states of it: the words that a teacher knows it by. */
enum PromptChange: string
{
    case Words = 'words';
    case Questions = 'questions';
    case Drawing = 'drawing';
    case Tools = 'tools';
    case Settings = 'settings';

    public function word(): string
    {
        return match ($this) {
            self::Words => 'words',
            self::Questions => 'questions',
            self::Drawing => 'what’s drawn',
            self::Tools => 'tools',
            self::Settings => 'settings',
        };
    }

    /** @return list<self> each once; drawings are compared by whom they belong to */
    public static function between(PlanPrompt $before, PlanPrompt $after, bool $isDrawnOtherwise): array
    {
        $changes = [];
        [$one, $two] = [$before->toArray(), $after->toArray()];
        foreach ($two as $field => $now) {
            if (self::bare($one[$field] ?? null) !== self::bare($now)) {
                $changes[] = match ($field) {
                    'words' => self::Words,
                    'questions', 'practice', 'asks' => self::Questions,
                    'tray' => self::Tools,
                    default => self::Settings,
                };
            }
        }
        if ($isDrawnOtherwise) {
            $changes[] = self::Drawing;
        }

        return array_values(array_filter(
            self::cases(),
            static fn (self $case): bool => in_array($case, $changes, true),
        ));
    }

    /** Pictures have other ids in a session: the rest is compared without them. */
    public static function bare(mixed $json): string
    {
        return (string) preg_replace('/"(asset|picture)":"[^"]*"/', '', (string) json_encode($json));
    }
}
