<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * What an object is known by: the id of the operation that put it on the page and, where that operation put several
 * there, a full stop and its place among them, from 0.
 */
final readonly class ObjectId
{
    /** So many objects can be moved, put in order or rubbed out in one step. */
    private const MOST_AT_ONCE = 2000;

    private function __construct(public string $value)
    {
    }

    /** @throws UnreadableFields */
    public static function from(mixed $value): self
    {
        if (! is_string($value) || preg_match('/\A[A-Za-z0-9_-]{12,32}(\.\d{1,4})?\z/', $value) !== 1) {
            throw UnreadableFields::missing('id');
        }

        return new self($value);
    }

    /** @throws UnreadableFields */
    public static function in(Fields $fields, string $name): string
    {
        $id = $fields->text($name);

        return $fields->kept ? $id : self::from($id)->value;
    }

    /**
     * @return list<string> one or more
     *
     * @throws UnreadableFields
     */
    public static function allIn(Fields $fields, string $name): array
    {
        $ids = $fields->list($name, 1, self::MOST_AT_ONCE);
        if ($fields->kept) {
            /** @var list<string> $ids */
            return $ids;
        }

        return array_map(static fn (mixed $id): string => self::from($id)->value, $ids);
    }

    /** The id of the operation that put it there. */
    public static function operation(string $id): string
    {
        return strstr($id, '.', true) ?: $id;
    }

    /** Its place among what that operation put there. */
    public static function place(string $id): int
    {
        return (int) substr((string) strstr($id, '.'), 1);
    }
}
