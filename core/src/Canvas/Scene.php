<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Crag\Canvas\Log\InForce;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Marking\Footprint;
use Crag\Canvas\Marking\InkMark;
use Crag\Canvas\Marking\InkMarks;
use Crag\Canvas\Object\Construct;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Answer;
use Crag\Construct\Plotted;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Paper;
use Crag\Prompt\Question\DrawAsked;
use Crag\Prompt\Question\GraphAsked;
use Crag\Prompt\Question\MarkedAsked;
use Crag\Prompt\Question\MarkedOptions;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\Spot;
use Crag\Prompt\Question\StateAsked;

/** A log folded: what is on the pages now. Objects stand in the order in which they are drawn. */
final readonly class Scene
{
    /**
     * @param  array<string, Backdrop>  $pages  by id, in order; the first page's id is ""
     * @param  array<string, PlacedObject>  $placed  by id, on all pages together
     * @param  array<string, string|int|list<string>>  $answers  by the question's id
     * @param  array<string, Layer>  $pageLayers  on which layer a page was added, by its id; the student's are left out
     * @param  array<int, Question>  $boxes  by number from 1: questions to be seen at their places on the pages
     */
    public function __construct(
        public array $pages,
        public array $placed,
        public array $answers = [],
        public array $pageLayers = [],
        public array $boxes = [],
    ) {
    }

    /**
     * Operations in the order of the log. One that comes again, known by its id, changes nothing.
     *
     * @param  iterable<Operation>  $log
     */
    public static function fold(iterable $log): self
    {
        return self::foldOnto(null, $log) ?? throw new \LogicException('A whole log always folds.');
    }

    /**
     * The scene goes on with operations that came after it was folded. Null when one of them takes back, reinstates
     * or gives back something older: then only the whole log tells.
     *
     * @param  iterable<Operation>  $log
     */
    public function and(iterable $log): ?self
    {
        return self::foldOnto($this, $log);
    }

    /** @param  iterable<Operation>  $log */
    private static function foldOnto(?self $base, iterable $log): ?self
    {
        $inForce = InForce::of($log, $base === null);
        if ($inForce === null) {
            return null;
        }
        $draft = new SceneDraft($base);
        foreach ($inForce->kept as $operation) {
            if (! $inForce->isWithdrawn($operation)) {
                $operation->effect->apply($draft, $operation);
            }
        }

        return $draft->finish();
    }

    /**
     * A scene in its JSON form.
     *
     * @param  array<array-key, mixed>  $json
     * @param  bool  $kept  whether it comes from where only what was checked is kept
     *
     * @throws UnreadableFields
     */
    public static function read(array $json, bool $kept = true): self
    {
        $fields = new Fields($json, $kept);
        $pages = $placed = $layers = [];
        foreach ($fields->objects('pages', PHP_INT_MAX) as $page) {
            $pages[$page->text('id')] = Backdrop::read($page->object('backdrop'));
            if ($page->has('layer')) {
                $layers[$page->text('id')] = Layer::from($page->text('layer'));
            }
        }
        foreach ($fields->list('objects', 0, PHP_INT_MAX) as $one) {
            $object = new Fields(is_array($one) ? $one : [], $kept);
            $placed[$object->text('id')] = PlacedObject::read($object);
        }

        $answers = [];
        foreach (
            $fields->has('answers') && $fields->list('answers', 0, PHP_INT_MAX) !== []
                ? $fields->objects('answers', PHP_INT_MAX)
                : [] as $one
        ) {
            $answer = Answer::read($one);
            if ($answer->value !== null) {
                $answers[$answer->question] = $answer->value;
            }
        }

        return new self($pages, $placed, $answers, $layers);
    }

    /** Whether nothing has been drawn or put anywhere. */
    public function isEmpty(): bool
    {
        return $this->placed === [];
    }

    public function backdrop(string $page = ''): Backdrop
    {
        return $this->pages[$page] ?? Backdrop::blank();
    }

    public function paper(string $page = ''): Paper
    {
        return $this->backdrop($page)->paper;
    }

    /** @return array<string, PlacedObject> by id, in drawing order */
    public function onPage(string $page): array
    {
        return array_filter($this->placed, static fn (PlacedObject $placed): bool => $placed->page === $page);
    }

    /**
     * @return array{
     *     pages: list<array<string, mixed>>, objects: list<array<string, mixed>>, answers?: list<array<string, mixed>>,
     * }
     */
    public function toArray(): array
    {
        $pages = $objects = [];
        foreach ($this->pages as $id => $backdrop) {
            $layer = $this->pageLayers[$id] ?? null;
            $pages[] =
                ['id' => (string) $id, 'backdrop' => $backdrop->toArray()] +
                ($layer === null ? [] : ['layer' => $layer->value]);
        }
        foreach ($this->placed as $id => $placed) {
            $objects[] = ['id' => (string) $id] + $placed->toArray();
        }

        $answers = [];
        foreach ($this->answers as $question => $value) {
            $answers[] = ['question' => (string) $question, 'value' => $value];
        }

        return ['pages' => $pages, 'objects' => $objects] + ($answers === [] ? [] : ['answers' => $answers]);
    }

    /** What is kept and printed: the work, without the ruler that lies on it. */
    public function withoutInstruments(): self
    {
        return $this->having(array_filter(
            $this->placed,
            static fn (PlacedObject $one): bool => ! $one->object instanceof Manipulative ||
                ! $one->object->kind->isInstrument(),
        ));
    }

    /** @param  array<string, PlacedObject>  $placed  what stands on the pages instead */
    public function having(array $placed): self
    {
        return new self($this->pages, $placed, $this->answers, $this->pageLayers, $this->boxes);
    }

    /** @param  array<string, string|int|list<string>>  $answers  by question, in place of those that are there */
    public function answered(array $answers): self
    {
        return new self($this->pages, $this->placed, $answers, $this->pageLayers, $this->boxes);
    }

    /** @param  list<Question>  $questions  the prompt's: those with a place are to be seen there */
    public function withBoxes(array $questions): self
    {
        $boxes = [];
        foreach ($questions as $i => $question) {
            if ($question->spot !== null) {
                $boxes[$i + 1] = $question;
            }
        }

        return new self($this->pages, $this->placed, $this->answers, $this->pageLayers, $boxes);
    }

    /**
     * What a student answers: typed or chosen, or, where a piece is asked for, what the last one that was worked shows;
     * where a graph is, what is plotted or constructed; where something is to be drawn or marked on the
     * page, what stands there. Null where there is no answer.
     */
    public function answerTo(Question $question): mixed
    {
        $asked = $question->asked;
        if ($asked instanceof GraphAsked) {
            return $asked->meant($this->plotted());
        }
        if ($asked instanceof MarkedAsked) {
            return $question->spot === null ? null : $asked->meant($this->marksOn($asked, $question->spot));
        }
        if ($asked instanceof DrawAsked) {
            return $question->takesAnswer() && $this->isDrawnIn($question->spot) ? DrawAsked::DRAWN : null;
        }
        if (! $asked instanceof StateAsked) {
            return $this->answers[$question->id] ?? null;
        }
        $answer = null;
        foreach ($this->placed as $placed) {
            $piece = $placed->object;
            $isTheirs = $placed->layer === Layer::Student || $placed->layer === Layer::Pieces;
            if ($isTheirs && $piece instanceof Manipulative && $piece->kind === $asked->piece && $piece->isWorked()) {
                $answer = $piece->facts()[$asked->fact] ?? null;
            }
        }

        return $answer;
    }

    private function marksOn(MarkedAsked $asked, Spot $spot): MarkedOptions
    {
        $marks = [];
        foreach ($this->studentsOn($spot->page) as $placed) {
            $trace = Footprint::trace($placed);
            if ($trace !== null) {
                $marks[] = InkMark::of($trace);
            }
        }

        return InkMarks::on($asked->options, $marks);
    }

    private function isDrawnIn(?Spot $spot): bool
    {
        if ($spot === null) {
            return false;
        }
        foreach ($this->studentsOn($spot->page) as $placed) {
            if ($spot->holds(...Footprint::middle($placed))) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, PlacedObject> what the student has put on a page, which is counted from 0 */
    private function studentsOn(int $n): array
    {
        $page = array_keys($this->pages)[$n] ?? null;

        return $page === null ? [] : array_filter(
            $this->onPage((string) $page),
            static fn (PlacedObject $placed): bool => $placed->layer === Layer::Student,
        );
    }

    /** @return list<string> graphs and lines that the student has put on axes */
    private function plotted(): array
    {
        $all = [];
        foreach ($this->placed as $placed) {
            if ($placed->object instanceof Construct && $placed->layer === Layer::Student) {
                array_push($all, ...Plotted::on($placed->object->construction, $placed->object->scale));
            }
        }

        return $all;
    }
}
