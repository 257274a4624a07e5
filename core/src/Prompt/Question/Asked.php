<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/** What is particular to one kind of question: what it offers, what answers it takes, and which are right. */
interface Asked
{
    public function kind(): QuestionKind;

    /** @return array<string, mixed> its fields in the JSON form of a question */
    public function toArray(): array;

    /**
     * What a student's page may know: nothing that tells the right answer.
     *
     * @param  string  $seed  tells one student's order of the choices from another's
     * @return array<string, mixed>
     */
    public function forStudent(string $seed): array;

    /** @return list<string> everything that may hold values in braces */
    public function texts(): array;

    public function filled(Draw $draw): self;

    /** Whether there is a right answer to compare with. */
    public function hasKey(): bool;

    /** The right answer in words, for the teacher. */
    public function key(): string;

    /**
     * An answer in its JSON form, checked.
     *
     * @throws UnreadableFields
     */
    public function read(mixed $answer): mixed;

    /** An answer that {@see read} took, in words. */
    public function written(mixed $answer): string;

    /** Only where there is a right answer. */
    public function compare(mixed $answer): Verdict;

    /** Whether two answers say the same, right or wrong. */
    public function isSame(mixed $one, mixed $other): bool;

    /** @return list<string> the pictures that it shows */
    public function assets(): array;
}
