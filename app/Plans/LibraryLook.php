<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Asset;
use App\Models\Teachers\Plan;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

/** Which of a teacher's plans are looked at, and in which order: it stands in the page's address. */
final readonly class LibraryLook
{
    public const SORTS = ['latest' => 'Last used', 'title' => 'Title', 'changed' => 'Last changed', 'made' => 'Newest'];

    /**
     * @param  list<string>  $tags  of which a plan has all
     * @param  string  $sort  one of SORTS' keys
     */
    private function __construct(
        public string $search,
        public array $tags,
        public string $sort,
        public bool $inArchive,
    ) {
    }

    public static function of(Request $request): self
    {
        $sort = $request->string('sort')->toString();

        return new self(
            $request->string('search')->trim()->toString(),
            array_values(
                array_unique(
                    array_filter(
                        array_map(
                            static fn (mixed $tag): string => is_string($tag) ? $tag : '',
                            (array) $request->query('tag', []),
                        ),
                    ),
                ),
            ),
            isset(self::SORTS[$sort]) ? $sort : 'latest',
            $request->boolean('archived'),
        );
    }

    public function isNarrowed(): bool
    {
        return $this->search !== '' || $this->tags !== [];
    }

    /**
     * Where the same look is but for what is given.
     *
     * @param  array<string, mixed>  $but
     */
    public function address(array $but = []): string
    {
        return route(
            'plans',
            array_filter(
                array_replace(
                    [
                        'search' => $this->search,
                        'tag' => $this->tags,
                        'sort' => $this->sort === 'latest' ? '' : $this->sort,
                        'archived' => $this->inArchive ? 1 : '',
                    ],
                    $but,
                ),
                static fn (mixed $value): bool => $value !== '' && $value !== [],
            ),
        );
    }

    /** With a tag more, or without it. */
    public function withTag(string $tag): string
    {
        return $this->address([
            'tag' => in_array($tag, $this->tags, true)
                ? array_values(array_diff($this->tags, [$tag]))
                : [...$this->tags, $tag],
        ]);
    }

    /**
     * @param  Collection<int, Plan>  $plans
     * @return Collection<int, Plan>
     */
    public function shown(Collection $plans): Collection
    {
        $words = array_filter(explode(' ', mb_strtolower($this->search)));
        $onPages = self::onPages($words, $plans);
        $fits = static function (Plan $plan) use ($words, $onPages): bool {
            $text =
                $words === []
                    ? ''
                    : mb_strtolower(
                        $plan->title.' '.implode(' ', $plan->tags).' '.$plan->present()->implode('words', ' '),
                    );

            return array_filter(
                $words,
                static fn (string $word): bool => ! str_contains($text, $word) &&
                    ! in_array($plan->id, $onPages[$word], true),
            ) === [];
        };
        $shown = $plans->filter(
            fn (Plan $plan): bool => ($plan->archived_at !== null) === $this->inArchive &&
                array_diff($this->tags, $plan->tags) === [] &&
                $fits($plan),
        );

        return match ($this->sort) {
            'title' => $shown->sortBy(static fn (Plan $plan): string => mb_strtolower($plan->title), SORT_NATURAL),
            'changed' => $shown->sortByDesc(
                static fn (Plan $plan): array => [$plan->updated_at->getTimestamp(), $plan->id],
            ),
            'made' => $shown->sortByDesc(static fn (Plan $plan): string => $plan->id),
            default => $shown->sortByDesc(
                static fn (Plan $plan): array => [
                    max($plan->used_at?->getTimestamp() ?? 0, $plan->updated_at->getTimestamp()),
                    $plan->id,
                ],
            ),
        };
    }

    /**
     * @param  array<int, string>  $words
     * @param  Collection<int, Plan>  $plans
     * @return array<string, list<string>> by word, the plans on whose worksheets it stands
     */
    private static function onPages(array $words, Collection $plans): array
    {
        $found = [];
        foreach ($words as $word) {
            // As the words of a page are stored: letters beyond ASCII by their numbers.
            $stored = trim((string) json_encode($word), '"');
            $found[$word] = array_values(array_map(strval(...), Asset::query()
                ->whereIn('plan_id', $plans->pluck('id'))
                ->whereRaw("lower(page_words) like ? escape '!'", ['%'.preg_replace('/[!%_]/', '!$0', $stored).'%'])
                ->distinct()
                ->pluck('plan_id')
                ->all()));
        }

        return $found;
    }
}
