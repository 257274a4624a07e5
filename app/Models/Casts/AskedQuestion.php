<?php

declare(strict_types=1);

namespace App\Models\Casts;

use App\Live\SchoolNotation;
use Crag\Prompt\Question\Question;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A question as it is asked here: its answers are read as the school writes numbers.
 *
 * @implements CastsAttributes<Question, Question>
 */
final class AskedQuestion implements CastsAttributes
{
    public bool $withoutObjectCaching = true;

    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Question
    {
        $question = (new CoreValue(Question::class))->get($model, $key, $value, $attributes);

        return $question instanceof Question ? $question->inNotation(SchoolNotation::now()) : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return (new CoreValue(Question::class))->set($model, $key, $value, $attributes);
    }
}
