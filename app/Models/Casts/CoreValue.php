<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Crag\Json\Fields;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use ReflectionMethod;
use ReflectionNamedType;

/**
 * A JSON column that is a value of the core as soon as it is read: `CoreValue::class.':'.Timer::class`. Nothing stands
 * for nothing, but with `,always` for a class that reads nothing as a value too.
 *
 * @implements CastsAttributes<object, object>
 */
final class CoreValue implements CastsAttributes
{
    /** Each reading is a new value: none that was read before is written back with something else. */
    public bool $withoutObjectCaching = true;

    /** @var array<class-string, array{fields: bool, kept: bool}> how a class is read */
    private static array $ways = [];

    /** @param  class-string  $class  with `read` and `toArray` */
    public function __construct(private readonly string $class, private readonly ?string $always = null)
    {
    }

    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?object
    {
        if ($value === null && $this->always === null) {
            return null;
        }
        $json = is_string($value) ? (array) json_decode($value, true, flags: JSON_THROW_ON_ERROR) : [];

        ['fields' => $fields, 'kept' => $kept] = $this->way();

        // What is stored was checked when it came.
        return ($this->class)::read($fields ? new Fields($json, true) : $json, ...$kept ? [true] : []);
    }

    /**
     * @param  array<string, mixed>  $attributes
     *
     * @throws InvalidArgumentException for anything but a value of the class
     */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        if ($value === null) {
            return null;
        }
        if (! $value instanceof $this->class || ! method_exists($value, 'toArray')) {
            throw new InvalidArgumentException("{$key} is a {$this->class}.");
        }
        $json = $value->toArray();

        return $json === null
            ? null
            : json_encode($json, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return array{fields: bool, kept: bool} whether `read` takes Fields, and whether it is told that they are kept */
    private function way(): array
    {
        if (! isset(self::$ways[$this->class])) {
            $taken = (new ReflectionMethod($this->class, 'read'))->getParameters();
            $type = $taken[0]->getType();
            self::$ways[$this->class] = [
                'fields' => $type instanceof ReflectionNamedType && $type->getName() === Fields::class,
                'kept' => ($taken[1] ?? null)?->getName() === 'kept',
            ];
        }

        return self::$ways[$this->class];
    }
}
