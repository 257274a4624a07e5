<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\Support\CragTestCase;

final class SchemaTest extends CragTestCase
{
    public function test_what_a_row_belongs_to_is_found_without_going_through_the_table(): void
    {
        $without = [];
        $keys = 0;
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            $led = array_map(
                static fn (array $index): string => $index['columns'][0] ?? '',
                Schema::getIndexes($table),
            );
            foreach (Schema::getForeignKeys($table) as $key) {
                $keys++;
                if (! in_array($key['columns'][0], $led, true)) {
                    $without[] = "{$table}.{$key['columns'][0]}";
                }
            }
        }
        self::assertGreaterThan(40, $keys);
        self::assertSame([], $without);
    }

    public function test_a_stroke_looks_at_no_other_canvas(): void
    {
        $this->onlyIn('sqlite');
        $plan = DB::select(
            'explain query plan select sum(byte_count) from canvases where seat_id = ?',
            ['a seat'],
        );
        self::assertStringContainsString('canvases_seat_id_index', json_encode($plan, JSON_THROW_ON_ERROR));
    }
}
