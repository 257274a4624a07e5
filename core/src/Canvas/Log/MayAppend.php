<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Closure;
use Crag\Canvas\Object\Construct;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Answer;
use Crag\Canvas\Operation\Arrange;
use Crag\Canvas\Operation\Change;
use Crag\Canvas\Scene;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;

/**
 * Whether an operation may be appended to a canvas's log. It needs only what the log says of the operations that the
 * new one refers to, so that the answer costs the same on a full canvas as on an empty one; what is dear to find out is
 * asked only when the answer could depend on it.
 */
final readonly class MayAppend
{
    public const MOST_OPERATIONS = 50_000;

    public const MOST_OBJECTS = 5_000;

    public const MOST_PAGES = 30;

    /** What students change of pieces that were handed out, by type. */
    private const HANDED_OUT = [
        Construct::TYPE => Construct::HANDED_OUT,
        Manipulative::TYPE => Manipulative::HANDED_OUT,
    ];

    /**
     * @param  int  $length  how many operations the log holds
     * @param  array<string, EarlierOperation>  $known  the operations referred to that the log holds, by id
     * @param  TrayInForce  $tray  the tools that students have
     * @param  int  $nowMs  milliseconds since 1970
     * @param  Closure(string): bool  $hasPicture  whether the author may show a picture, by its id
     * @param  int  $everAdded  how many objects the log ever put on the canvas
     * @param  Closure(): Scene  $scene  what is there now
     * @param  Closure(string): ?Question  $question  a question of the prompt, as this student has it, by its id
     * @param  list<Layer>  $layers  those of this canvas
     * @param  bool  $isShared  whether several students draw on it: nobody empties what is others' too
     */
    public function __construct(
        private int $length,
        private array $known,
        private TrayInForce $tray,
        private int $nowMs,
        private Closure $hasPicture,
        private int $everAdded,
        private Closure $scene,
        private Closure $question,
        private array $layers = [Layer::Student, Layer::Lead, Layer::Pieces, Layer::Coach],
        private bool $isShared = false,
    ) {
    }

    /** @throws RefusedOperation */
    public function check(Operation $operation): void
    {
        $effect = $operation->effect;
        $kind = $effect->kind();
        if (
            ! $operation->layer->mayBeWrittenBy($operation->author) ||
            ! in_array($operation->layer, $this->layers, true)
        ) {
            throw RefusedOperation::wrongLayer();
        }
        $teachers =
            in_array($kind, [OperationKind::Backdrop, OperationKind::Fresh, OperationKind::GiveBack], true) ||
            ($effect instanceof Arrange && $effect->lock !== null);
        if ($teachers && $operation->author->seat !== null) {
            throw RefusedOperation::onlyTheTeacher($kind);
        }
        if (! $operation->layer->takes($kind) && $operation->author->seat === null) {
            throw $kind === OperationKind::Answer
                ? RefusedOperation::onlyAStudent()
                : RefusedOperation::wrongLayer();
        }
        if ($this->isShared && $kind === OperationKind::Clear && $operation->author->seat !== null) {
            throw RefusedOperation::clearsForOthers();
        }
        if (! $this->tray->allows($operation, $this->nowMs)) {
            throw RefusedOperation::tool();
        }
        if ($this->length >= self::MOST_OPERATIONS) {
            throw RefusedOperation::full(self::MOST_OPERATIONS);
        }
        foreach ($effect->targets() as $id) {
            $this->checkTarget($operation, $kind, $id);
        }
        if ($effect instanceof Add) {
            $this->checkObjects($effect);
        }
        if ($effect instanceof Answer) {
            $this->checkAnswer($effect);
        }
        if (
            $kind === OperationKind::Page &&
            $this->length >= self::MOST_PAGES &&
            count(($this->scene)()->pages) >= self::MOST_PAGES
        ) {
            throw RefusedOperation::manyPages(self::MOST_PAGES);
        }
    }

    private function checkTarget(Operation $operation, OperationKind $kind, string $id): void
    {
        $target = $this->known[ObjectId::operation($id)] ?? throw RefusedOperation::unknownTarget();
        if ($kind === OperationKind::GiveBack) {
            return;
        }
        if ($kind === OperationKind::ArrangePage) {
            $this->checkArrangedPage($operation, $target);

            return;
        }
        if ($target->kind === OperationKind::Page && $kind !== OperationKind::Withdraw) {
            $this->checkPage($kind, $id);

            return;
        }
        $movesPiece =
            $kind === OperationKind::Arrange && $target->layer === Layer::Pieces && $operation->layer !== Layer::Coach;
        $works = $kind === OperationKind::Change &&
            $target->layer === Layer::Pieces &&
            $operation->layer === Layer::Student &&
            $operation->effect instanceof Change &&
            array_diff(array_keys($operation->effect->set), self::HANDED_OUT[$target->typeOf($id)] ?? []) === [];
        $own = $target->layer === $operation->layer && $target->author->is($operation->author);
        if (! $own && ! $movesPiece && ! $works && ! $this->teachersOwn($operation, $target)) {
            throw RefusedOperation::notYours();
        }
        $type = $target->typeOf($id);
        $effect = $operation->effect;
        $fits = match ($kind) {
            OperationKind::Change => $type !== null &&
                $effect instanceof Change &&
                array_diff(array_keys($effect->set), ReadObject::changeable($type)) === [],
            OperationKind::Remove, OperationKind::Arrange => $type !== null,
            OperationKind::Cut => $type === Stroke::TYPE || $type === Stroke::HIGHLIGHT,
            OperationKind::Straighten => $type === Stroke::TYPE,
            // What was handed out is taken back by the teacher alone.
            OperationKind::Withdraw, OperationKind::Reinstate => $target->kind->isUndoable() ||
                ($target->kind === OperationKind::Backdrop && $operation->author->seat === null),
            default => false,
        };
        if (! $fits) {
            throw RefusedOperation::notThatKind();
        }
    }

    /** Who added a page arranges it. */
    private function checkArrangedPage(Operation $operation, EarlierOperation $page): void
    {
        if ($page->kind !== OperationKind::Page) {
            throw RefusedOperation::notThatKind();
        }
        if ($page->layer !== $operation->layer || ! $page->author->is($operation->author)) {
            throw RefusedOperation::notYours();
        }
    }

    /** A page can be written on, and brought back; it is nothing to arrange or to rub out. */
    private function checkPage(OperationKind $kind, string $id): void
    {
        if (
            ! in_array(
                $kind,
                [OperationKind::Add, OperationKind::Clear, OperationKind::Backdrop, OperationKind::Reinstate],
                true,
            )
        ) {
            throw RefusedOperation::notThatKind();
        }
    }

    /**
     * Lead and pieces are both the teacher's. Coach ink stands apart: undoing it never takes back what was handed out.
     */
    private function teachersOwn(Operation $operation, EarlierOperation $target): bool
    {
        return $operation->author->seat === null &&
            $target->author->is($operation->author) &&
            $operation->layer !== Layer::Coach &&
            $target->layer !== Layer::Coach;
    }

    private function checkAnswer(Answer $answer): void
    {
        $question = ($this->question)($answer->question) ?? throw RefusedOperation::unknownQuestion();
        if ($answer->value === null) {
            return;
        }
        try {
            $question->asked->read($answer->value);
        } catch (UnreadableFields) {
            throw RefusedOperation::noSuchAnswer();
        }
    }

    private function checkObjects(Add $add): void
    {
        foreach ($add->assets() as $asset) {
            if (! ($this->hasPicture)($asset)) {
                throw RefusedOperation::unknownPicture($asset);
            }
        }
        $more = count($add->placings);
        if (
            $this->everAdded + $more > self::MOST_OBJECTS &&
            count(($this->scene)()->onPage($add->page)) + $more > self::MOST_OBJECTS
        ) {
            throw RefusedOperation::pageFull(self::MOST_OBJECTS);
        }
    }
}
