<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use Crag\Manipulative\Field;
use Crag\Manipulative\ManipulativeKind;
use Crag\Manipulative\Setting;
use PHPUnit\Framework\TestCase;

/** What docs/formats.md says of formats is what they hold. */
final class FormatsTest extends TestCase
{
    public function test_each_manipulative_stands_in_the_document_with_all_its_fields(): void
    {
        $document = explode("\n", (string) file_get_contents(dirname(__DIR__, 3).'/docs/formats.md'));
        foreach (ManipulativeKind::cases() as $kind) {
            $line = implode('', array_filter(
                $document,
                static fn (string $one): bool => str_starts_with($one, "| `{$kind->value}` |"),
            ));
            $rules = $kind->rules();
            $names = [
                ...array_map(static fn (Setting $one): string => $one->name, $rules::settings()),
                ...array_map(static fn (Field $one): string => $one->name, $rules::fields()),
                ...array_keys($rules::factWords()),
            ];
            foreach ($names as $name) {
                self::assertStringContainsString("`{$name}`", $line, "{$kind->value}: {$name}");
            }
        }
    }
}
