<?php

declare(strict_types=1);

namespace Deploy\Browser;

/** Browsers of one kind, one for each person. */
interface Browsers
{
    public function open(int $width = 1280, int $height = 800): Page;

    /** Whoever used it is done: nothing of theirs is there for the next one. */
    public function giveBack(Page $page): void;

    public function stop(): void;
}
