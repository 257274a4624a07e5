<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\LiveSession;
use Illuminate\Http\Request;

/** What a session leaves behind, for the page after its end and for taking it while it runs. */
final class RecordPage
{
    /** @return array<string, mixed> for desk/life/record */
    public static function record(LiveSession $session): array
    {
        return [
            'session' => $session,
            'record' => $session->records()->first(),
            'prompts' => $session->prompts()->get(),
            'drew' => $session->seats()->has('canvases')->get(),
        ];
    }

    /** @return array<string, mixed> the same, and what can be done with all of it and with one student's */
    public static function whole(Request $request, LiveSession $session): array
    {
        return self::record($session->loadCount(['seats', 'canvases', 'prompts'])) + [
            'deeds' => Deeds::of($request, $session),
            'students' => $session->seats()->get(),
        ];
    }
}
