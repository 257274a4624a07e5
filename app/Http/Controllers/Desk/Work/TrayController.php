<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Work;

use App\Models\LiveSession;
use App\Sessions\Work\ChangeTray;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** The tools that students have. */
final class TrayController
{
    public function __invoke(Request $request, LiveSession $session, ChangeTray $change): Response
    {
        $request->validate(
            [
                'tray' => ['required', Rule::enum(TrayKind::class)],
                'tools' => ['array', Rule::requiredIf($request->input('tray') === TrayKind::Custom->value)],
                'tools.*' => [Rule::enum(Tool::class)],
                'for' => ['required', Rule::in(['prompt', 'session'])],
            ],
            ['tools.required' => __('Choose at least one tool.')],
        );
        $tray = ToolTray::of(
            TrayKind::from($request->string('tray')->toString()),
            array_map(Tool::from(...), array_values($request->array('tools'))),
            $request->boolean('pictures'),
            $request->boolean('pages'),
        );
        if ($request->string('for')->is('prompt')) {
            $change->ofPrompt($session, $tray);
        } else {
            $change->ofSession($session, $tray);
        }

        return response()->noContent()->header('HX-Trigger', 'crag:handed-out');
    }
}
