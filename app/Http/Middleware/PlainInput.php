<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A field that holds one thing holds one thing: a list in its place is refused here, once, for every route. */
final class PlainInput
{
    /** Fields that hold several things; each is checked where it is read. */
    private const SEVERAL = [
        'seats',
        'prompts',
        'canvases',
        'entries',
        'classes',
        'groups',
        'places',
        'operations',
        'objects',
        'strokes',
        'items',
        'headings',
        'order',
        'scale',
        'cards',
        'team_names',
        'chosen',
        'marks',
        'given',
        'before',
        'question',
        'settings',
        'feedback',
        'watch',
        'tools',
        'view',
        'cut',
        'value',
        'from',
        'to',
        'tag',
    ];

    /** Of these each is an id. */
    private const IDS = ['seats', 'prompts'];

    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->all() as $name => $value) {
            abort_if(
                is_array($value) && ! in_array($name, self::SEVERAL, true),
                422,
                __('This page sent something the server can’t use. Reload it and try again.'),
            );
        }

        foreach (self::IDS as $name) {
            abort_if(
                array_filter($request->array($name), is_array(...)) !== [],
                422,
                __('This page sent something the server can’t use. Reload it and try again.'),
            );
        }

        return $next($request);
    }
}
