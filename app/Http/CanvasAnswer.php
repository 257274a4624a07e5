<?php

declare(strict_types=1);

namespace App\Http;

use App\Canvas\CanvasJson;
use App\Models\Canvas;
use Crag\Canvas\Log\Layer;
use Illuminate\Http\Response;

/** A canvas as its page opens it: the scene that is kept and what came since, or the whole log when it is asked for. */
final class CanvasAnswer
{
    /**
     * @param  array<string, mixed>  $also  what else the page must know
     * @param  ?Layer  $layer  on which the page draws; null for the author's own
     */
    public static function opening(Canvas $canvas, array $also, ?Layer $layer = null): Response
    {
        return self::json(CanvasJson::opening($canvas, $also, $layer));
    }

    public static function whole(Canvas $canvas): Response
    {
        return self::since($canvas, 0);
    }

    /** What came after an operation. */
    public static function since(Canvas $canvas, int $after): Response
    {
        return self::json(CanvasJson::since($canvas, $after));
    }

    public static function json(string $body): Response
    {
        return response($body)->header('Content-Type', 'application/json');
    }
}
