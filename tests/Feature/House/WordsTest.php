<?php

declare(strict_types=1);

namespace Tests\Feature\House;

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
}
