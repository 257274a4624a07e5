<?php

declare(strict_types=1);

namespace App\Http\Words;

use App\Models\Act;
use Crag\Session\Room\ActKind;
use Crag\Session\Room\PromptState;

/** Sentences about what was done to the whole room. */
final class ActWords
{
    /** Just after it was done, and in the list of what was done. */
    public static function said(Act $act): string
    {
        $said = $act->said;
        $n = is_int($said['n'] ?? null) ? $said['n'] : 0;
        $prompt = ['n' => $act->prompt->n ?? 0];

        return match ($act->kind) {
            ActKind::Gather => __('Everyone is at prompt :n.', $prompt).
                (($said['screen_stays'] ?? false) === true
                    ? ' '.__('The class screen keeps what it shows.')
                    : ''),
            ActKind::HandOut => self::handedOut(($said['fresh'] ?? false) === true, $n),
            ActKind::Pens => ($said['down'] ?? false) === true
                ? trans_choice('{0} Pens down.|{1} Pens down for :count student.|[2,*] Pens down for :count students.', $n)
                : trans_choice('{0} Pens up.|{1} Pens up for :count student.|[2,*] Pens up for :count students.', $n),
            ActKind::Reveal => trans_choice(
                '{0} Revealed.|{1} Revealed :count canvas.|[2,*] Revealed :count canvases.',
                $n,
            ),
            ActKind::PromptState => __('Prompt :n is :state.', $prompt + ['state' => self::state($said['state'] ?? null)]),
        };
    }

    public static function handedOut(bool $isFresh, int $canvases): string
    {
        return $isFresh
            ? trans_choice(
                '{0} Nobody has a canvas yet; anyone who joins later gets it.|{1} Cleared :count canvas and handed out. The old work is in Replay.|[2,*] Cleared :count canvases and handed out. The old work is in Replay.',
                $canvases,
            )
            : trans_choice(
                '{0} Nobody has a canvas yet; anyone who joins later gets it.|{1} Handed out on :count canvas.|[2,*] Handed out on :count canvases.',
                $canvases,
            );
    }

    /** After it was taken back. */
    public static function undone(Act $act): string
    {
        return match ($act->kind) {
            ActKind::Gather => __('Everyone is back where they were.'),
            ActKind::HandOut => __('Undone. No student’s ink was touched.'),
            ActKind::Pens => ($act->before['pens'] ?? null) === null
                ? __('Pens are up again.')
                : __('Pens are down again.'),
            ActKind::Reveal => __('The work is covered again.'),
            ActKind::PromptState => __('Undone: prompt :n is :state.', [
                'n' => $act->prompt->n ?? 0,
                'state' => self::state($act->before['state'] ?? null),
            ]),
        };
    }

    private static function state(mixed $state): string
    {
        return __(PromptState::from(is_string($state) ? $state : '')->word());
    }
}
