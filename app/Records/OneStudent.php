<?php

declare(strict_types=1);

namespace App\Records;

use App\Live\SchoolTime;
use App\Models\Asks\Ask;
use App\Models\Asks\AskAnswer;
use App\Models\Canvas;
use App\Models\Check;
use App\Models\LoggedOperation;
use App\Models\Message;
use App\Models\Seat;
use App\Models\Show\Offer;
use App\Models\TalkThrough;
use Illuminate\Database\Eloquent\Builder;

/** Everything that a session holds about one student: the canvases as files, all the rest as one JSON file. */
final class OneStudent
{
    public static function zip(Seat $seat, string $to): void
    {
        $canvases = array_values(
            $seat->session
                ->openCanvases()
                ->whereIn('id', $seat->workedOn()->select('id'))
                ->with('prompt', 'seat')
                ->get()
                ->sortBy('prompt.n')
                ->all(),
        );
        CanvasesZip::write($seat->session, $canvases, $to, false, static fn () => null, [
            'everything.json' => json_encode(
                self::rest($seat, $canvases),
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        ]);
    }

    /**
     * @param  list<Canvas>  $canvases
     * @return array<string, mixed>
     */
    private static function rest(Seat $seat, array $canvases): array
    {
        return [
            'session' => $seat->session->title,
            'name' => $seat->name,
            'number' => $seat->n,
            'group' => $seat->groupName(),
            'device' => $seat->device->value,
            'asks_not_to_be_shown' => $seat->keeps_back,
            'canvases' => array_map(
                static fn (Canvas $canvas): array => [
                    'prompt' => $canvas->prompt->ask_id === null ? $canvas->prompt->n : $canvas->prompt->title(),
                    'words' => $canvas->prompt->forSeat($seat)->words,
                    'sent_at' => self::time($canvas->sent_at_ms),
                    'checks' => Check::query()
                        ->where('canvas_id', $canvas->id)
                        ->orderBy('id')
                        ->get()
                        ->map(
                            static fn (Check $check): array => [
                                'level' => $check->level?->word(),
                                'at' => self::time($check->made_at_ms),
                            ],
                        )
                        ->all(),
                    'steps' => LoggedOperation::query()
                        ->where('canvas_id', $canvas->id)
                        ->orderBy('n')
                        ->get()
                        ->map(
                            static fn (LoggedOperation $one): array => [
                                'n' => $one->n,
                                'kind' => $one->kind,
                                'layer' => $one->layer,
                                'at' => self::time($one->made_at_ms),
                                'body' => json_decode((string) $one->getRawOriginal('body'), true),
                            ],
                        )
                        ->all(),
                ],
                $canvases,
            ),
            'talk_throughs' => TalkThrough::query()
                ->where('seat_id', $seat->id)
                ->orWhere(
                    static fn (Builder $talk) => $talk
                        ->whereNull('seat_id')
                        ->whereIn('canvas_id', $seat->workedOn()->select('id')),
                )
                ->with('canvas.prompt')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn (TalkThrough $talk): array => [
                        'prompt' => $talk->canvas->prompt->title(),
                        'by' => $talk->isByTeacher() ? $talk->speaker : $seat->name,
                        'at' => self::time($talk->began_at_ms),
                        'seconds' => round($talk->lasts_ms / 1000, 1),
                        'words' => $talk->words,
                    ],
                )
                ->all(),
            'messages' => $seat
                ->messages()
                ->get()
                ->map(
                    static fn (Message $one): array => [
                        'from' => $one->sender,
                        'words' => $one->words,
                        'at' => self::time($one->made_at_ms),
                    ],
                )
                ->all(),
            'offers' => Offer::query()
                ->where('seat_id', $seat->id)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn (Offer $one): array => [
                        'words' => $one->words,
                        'state' => $one->state,
                        'at' => self::time($one->made_at_ms),
                    ],
                )
                ->all(),
            'quick_asks' => $seat->session
                ->asks()
                ->where('is_anonymous', false)
                ->with('answers')
                ->get()
                ->map(
                    static fn (Ask $ask): array => [
                        'words' => $ask->question->words,
                        'answers' => array_values(
                            $ask->answers
                                ->where('voter', $seat->id)
                                ->map(
                                    static fn (AskAnswer $one): array => [
                                        'answer' => $one->value['value'],
                                        'at' => self::time($one->made_at_ms),
                                    ],
                                )
                                ->all(),
                        ),
                    ],
                )
                ->all(),
        ];
    }

    private static function time(?int $ms): ?string
    {
        return $ms === null ? null : SchoolTime::of($ms)->toIso8601String();
    }
}
