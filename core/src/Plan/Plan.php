<?php

declare(strict_types=1);

namespace Crag\Plan;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\LookFor;

/**
 * A plan as it is taken out and brought in: its title, its tags, and its prompts in order with what is drawn for each.
 * docs/plan.schema.json describes the JSON form; pictures are named in it and lie beside it.
 */
final readonly class Plan
{
    public const FORMAT = 'crag-plan';

    public const VERSION = 1;

    public const LONGEST_TITLE = 80;

    private const MOST_TAGS = 12;

    /**
     * @param  list<string>  $tags
     * @param  list<array{PlanPrompt, PromptPages}>  $prompts
     */
    private function __construct(public string $title, public array $tags, public array $prompts)
    {
    }

    /**
     * @param  list<string>  $tags
     * @param  list<array{PlanPrompt, PromptPages}>  $prompts
     */
    public static function of(string $title, array $tags, array $prompts): self
    {
        return new self(self::title($title), self::tags($tags), $prompts);
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws UnreadableFields
     * @throws InvalidPrompt
     */
    public static function read(array $json): self
    {
        $fields = new Fields($json);
        $fields->oneOf('format', [self::FORMAT]);
        $fields->whole('version', 1, self::VERSION);
        $prompts = [];
        foreach ($fields->list('prompts', 0, PlanPrompt::MOST_PROMPTS) as $one) {
            $prompt = new Fields(is_array($one) ? $one : throw UnreadableFields::missing('prompts'));
            $prompts[] = [PlanPrompt::read($prompt), PromptPages::read($prompt->list('pages', 1, 100))];
        }

        return new self(
            self::title($fields->text('title', 200)),
            self::tags(LookFor::lines($fields, 'tags')),
            $prompts,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'title' => $this->title,
            'tags' => $this->tags,
            'prompts' => array_map(
                static fn (array $one): array => $one[0]->toArray() + ['pages' => $one[1]->toArray()],
                $this->prompts,
            ),
        ];
    }

    /** A title that can be shown; none is never wrong. */
    public static function title(string $title): string
    {
        return mb_substr(trim((string) preg_replace('/\s+/u', ' ', mb_scrub($title))), 0, self::LONGEST_TITLE);
    }

    /**
     * @param  list<string>  $tags
     * @return list<string> trimmed, each once
     */
    public static function tags(array $tags): array
    {
        $clean = [];
        foreach ($tags as $tag) {
            $tag = mb_substr(trim((string) preg_replace('/\s+/u', ' ', mb_scrub($tag))), 0, 30);
            if ($tag !== '') {
                $clean[mb_strtolower($tag)] ??= $tag;
            }
        }

        return array_slice(array_values($clean), 0, self::MOST_TAGS);
    }
}
