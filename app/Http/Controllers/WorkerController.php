<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PageAssets;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What makes a student's page one that opens without a network, and that can be put on a home screen. */
final class WorkerController
{
    /** It stands above the pages that it keeps, and is asked for anew each time: it is the way to the next release. */
    public function script(): BinaryFileResponse
    {
        return response()->file(PageAssets::path('resources/ts/worker/worker.ts'), [
            'Content-Type' => 'text/javascript',
            'Cache-Control' => 'no-cache',
        ]);
    }

    /** A web app manifest (W3C, Web Application Manifest). */
    public function manifest(): JsonResponse
    {
        return response()
            ->json([
                'name' => 'Crag',
                'short_name' => 'Crag',
                'start_url' => '/join',
                'scope' => '/',
                'display' => 'standalone',
                'background_color' => '#f6f3ec',
                'theme_color' => '#25323b',
                'icons' => [['src' => '/crag.svg', 'sizes' => 'any', 'type' => 'image/svg+xml']],
            ])
            ->withHeaders(['Content-Type' => 'application/manifest+json', 'Cache-Control' => 'public, max-age=86400']);
    }
}
