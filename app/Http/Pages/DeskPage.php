<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Http\CurrentRole;
use App\Http\CurrentTeacher;
use App\Http\DeskWords;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Prompt;
use Crag\Canvas\Drawing\Palette;
use Crag\Canvas\Drawing\StampArt;
use Crag\Session\Rules\Deed;
use Illuminate\Http\Request;

/** What the desk's script is given. */
final class DeskPage
{
    /** @return array<string, mixed> resources/ts/pages/desk.ts: Page */
    public static function script(Request $request, LiveSession $session, Prompt $current): array
    {
        return [
            'session' => $session->id,
            'prompt' => $current->id,
            'me' => CurrentTeacher::of($request)?->id,
            'may' => Deeds::of($request, $session)->told(Deed::Lead),
            'colours' => [
                'coach' => Palette::PENS[CurrentRole::of($request)->coachPen()],
                'private' => Palette::PENS['Rust'],
            ],
            'clock' => Clock::ms(),
            'address' => '/desk/'.$session->id,
            'assets' => '/asset',
            'stamps' => StampArt::all(),
            'words' => DeskWords::all(),
        ];
    }
}
