<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Layer;

/** What one page sends for one canvas. */
final readonly class Batch
{
    /** Operations in one; a page sends fewer. */
    public const MOST = 100;

    /**
     * @param  list<mixed>  $operations  in their JSON form, decoded
     * @param  ?Layer  $only  the one layer on which they may be; null for all that the canvas has
     * @param  ?string  $reply  what the page that waits at its socket calls it; null where it is answered over HTTP
     */
    public function __construct(
        public Canvas $canvas,
        public Author $author,
        public array $operations,
        public ?Layer $only = null,
        public ?string $reply = null,
    ) {
    }
}
