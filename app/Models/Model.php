<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model as EloquentModel;

/** What all rows share. */
abstract class Model extends EloquentModel
{
    /**
     * As the framework does it, by the traits' names alone. It also looks for attributes on each of a model's 440
     * methods, in every request anew: that was a twelfth of what a page cost. No model here has one (ModelTest).
     */
    protected static function bootTraits(): void
    {
        $class = static::class;
        static::$traitInitializers[$class] = [];
        foreach (array_unique(array_map(class_basename(...), class_uses_recursive($class))) as $trait) {
            if (method_exists($class, "boot{$trait}")) {
                forward_static_call([$class, "boot{$trait}"]);
            }
            if (method_exists($class, "initialize{$trait}")) {
                static::$traitInitializers[$class][] = "initialize{$trait}";
            }
        }
    }
}
