<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Models\Model;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model as EloquentModel;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Schema;
use ReflectionClass;
use Tests\Support\CragTestCase;

final class ModelTest extends CragTestCase
{
    public function test_every_model_is_found_by_name_at_its_table_and_begins_nothing_by_an_attribute(): void
    {
        $models = 0;
        foreach (File::allFiles(app_path('Models')) as $file) {
            $class = 'App\\Models\\'.str_replace(['/', '.php'], ['\\', ''], $file->getRelativePathname());
            if (! is_subclass_of($class, EloquentModel::class) || $class === Model::class) {
                continue;
            }
            $models++;
            self::assertTrue(is_subclass_of($class, Model::class), "{$class} extends App\\Models\\Model");
            $row = new $class();
            self::assertTrue(Schema::hasTable($row->getTable()), "{$class} has a table");
            self::assertSame(
                $row->getTable(),
                (new ReflectionClass($class))->getDefaultProperties()['table'],
                "{$class} says which",
            );
            foreach ((new ReflectionClass($class))->getMethods() as $method) {
                self::assertSame(
                    [],
                    [...$method->getAttributes(Boot::class), ...$method->getAttributes(Initialize::class)],
                    "{$class}::{$method->name}",
                );
            }
        }
        self::assertGreaterThan(20, $models);
    }
}
