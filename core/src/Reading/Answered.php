<?php

declare(strict_types=1);

namespace Crag\Reading;

use Crag\Maths\Comparing\Verdict;

/** A question of a prompt and what was answered to it. */
final readonly class Answered
{
    /**
     * @param  string  $asked  the question's words; empty for none
     * @param  string  $answer  as it was written; empty for not answered
     * @param  ?Verdict  $verdict  null where there is no right and wrong
     * @param  ?Where  $where  its box, where it has one
     */
    public function __construct(
        public string $asked,
        public string $answer,
        public ?Verdict $verdict,
        public ?Where $where = null,
    ) {
    }
}
