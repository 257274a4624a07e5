<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Console\WriteRules;
use App\Console\WriteWords;
use Tests\Support\CragTestCase;

final class WordsTest extends CragTestCase
{
    public function test_the_scripts_know_the_names_of_their_sentences(): void
    {
        self::assertSame(
            WriteWords::written(),
            file_get_contents(resource_path(WriteWords::FILE)),
            'Names of sentences have changed: run ./crag fix.',
        );
    }

    public function test_the_page_runs_the_rules_of_manipulatives_as_they_stand_in_the_core(): void
    {
        self::assertSame(
            WriteRules::written(),
            file_get_contents(resource_path(WriteRules::FILE)),
            'Rules of manipulatives have changed: run ./crag fix.',
        );
        self::assertSame(WriteRules::sentences(), file_get_contents(app_path(WriteRules::WORDS)));
    }
}
