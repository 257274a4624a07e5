<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** What a question, or one of its choices, is known by within its prompt. */
final class QuestionId
{
    /** @throws UnreadableFields */
    public static function read(Fields $fields, string $name = 'id'): string
    {
        $id = $fields->text($name, 24);

        return preg_match('/\A[A-Za-z0-9_-]{1,24}\z/', $id) === 1 ? $id : throw UnreadableFields::missing($name);
    }
}
