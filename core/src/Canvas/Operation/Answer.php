<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\QuestionId;

/**
 * Answers a question of the prompt: the latest answer counts, null takes it back. It is changed by answering anew, not
 * by undo, which is for what is drawn. Body: {"question": id, "value": text, number, list of ids, or null}.
 */
final readonly class Answer implements Effect
{
    private const MOST_CHOSEN = 20;

    private const LONGEST = 300;

    /** @param  string|int|list<string>|null  $value */
    private function __construct(public string $question, public string|int|array|null $value)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        return new self(QuestionId::read($body, 'question'), self::value($body));
    }

    public function kind(): OperationKind
    {
        return OperationKind::Answer;
    }

    public function toArray(): array
    {
        return ['question' => $this->question, 'value' => $this->value];
    }

    public function targets(): array
    {
        return [];
    }

    public function madeWith(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->answer($this->question, $this->value);
    }

    /**
     * @return string|int|list<string>|null
     *
     * @throws UnreadableFields
     */
    private static function value(Fields $body): string|int|array|null
    {
        if ($body->isNull('value')) {
            return null;
        }
        if ($body->isList('value')) {
            $ids = [];
            foreach ($body->list('value', 0, self::MOST_CHOSEN) as $id) {
                $ids[] = is_string($id) && strlen($id) <= 24 ? $id : throw UnreadableFields::missing('value');
            }

            return $ids;
        }

        return $body->isWhole('value') ? $body->whole('value', -1000, 1000) : $body->text('value', self::LONGEST);
    }
}
