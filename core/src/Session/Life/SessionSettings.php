<?php

declare(strict_types=1);

namespace Crag\Session\Life;

use Crag\Checks\Feedback;
use Crag\Session\Door\NameMode;
use Crag\Session\Door\UnsuitableWords;
use Crag\Watch\WatchSettings;

/** What a teacher chooses for a session beside its tools: before it, during it, and kept for the class's next one. */
final readonly class SessionSettings
{
    /**
     * @param  NameMode  $shownNames  on what is shown to others
     * @param  NameMode  $penNames  at the pens of those who draw on a canvas together
     * @param  bool  $messages  whether students and teachers write to each other
     * @param  bool  $cover  whether work is hidden from the desk until it is revealed
     * @param  bool  $sound  whether pages make a sound when time is up
     * @param  bool  $light  fewer bytes for everybody
     * @param  bool  $offers  whether students may offer work to the class
     * @param  bool  $keepBack  whether students can say "Please don’t show mine"
     * @param  bool  $recording  whether students may explain drawings aloud
     * @param  bool  $camera  whether they may be seen in a corner of it
     * @param  bool  $usualWords  whether a name with one of the usual unsuitable words knocks
     */
    private function __construct(
        public NameMode $deskNames,
        public NameMode $shownNames,
        public NameMode $penNames,
        public bool $messages,
        public bool $cover,
        public bool $sound,
        public bool $light,
        public bool $offers,
        public bool $keepBack,
        public bool $recording,
        public bool $camera,
        public bool $usualWords,
        public int $expiresAfterMinutes,
        public UnsuitableWords $unsuitable,
        public WatchSettings $watch,
        public Feedback $feedback,
    ) {
    }

    public static function usual(): self
    {
        return self::read([]);
    }

    /**
     * What is missing or makes no sense is as usual.
     *
     * @param  array<array-key, mixed>  $json
     */
    public static function read(array $json): self
    {
        $names = static fn (string $key, NameMode $usual): NameMode => is_string($json[$key] ?? null)
            ? NameMode::tryFrom($json[$key]) ?? $usual
            : $usual;
        $flag = static fn (string $key, bool $usual): bool => isset($json[$key])
            ? filter_var($json[$key], FILTER_VALIDATE_BOOL)
            : $usual;
        $minutes = $json['expires_after'] ?? null;

        return new self(
            $names('desk_names', NameMode::Names),
            $names('shown_names', NameMode::Hidden),
            $names('pen_names', NameMode::Names),
            $flag('messages', true),
            $flag('cover', false),
            $flag('sound', true),
            $flag('light', false),
            $flag('offers', true),
            $flag('keep_back', true),
            $flag('recording', false),
            $flag('camera', false),
            $flag('usual_words', true),
            is_numeric($minutes)
                ? max(Expiry::LEAST_MINUTES, min(Expiry::MOST_MINUTES, (int) $minutes))
                : Expiry::USUAL_MINUTES,
            is_string($json['unsuitable'] ?? null)
                ? UnsuitableWords::read($json['unsuitable'])
                : UnsuitableWords::none(),
            WatchSettings::read(is_array($json['watch'] ?? null) ? $json['watch'] : []),
            Feedback::read(is_array($json['feedback'] ?? null) ? $json['feedback'] : []),
        );
    }

    /**
     * The same with some of it otherwise; of a group, what is not named stays.
     *
     * @param  array<string, mixed>  $changes
     */
    public function with(array $changes): self
    {
        $now = $this->toArray();
        foreach (['watch', 'feedback'] as $group) {
            if (is_array($changes[$group] ?? null)) {
                $changes[$group] += $now[$group];
            }
        }

        return self::read($changes + $now);
    }

    /** Whether a prompt's work is hidden from the teacher. What has ended is open. */
    public function covers(bool $isRunning, bool $isRevealed): bool
    {
        return $this->cover && $isRunning && ! $isRevealed;
    }

    /**
     * @return array{
     *     desk_names: string, shown_names: string, pen_names: string,
     *     messages: bool, cover: bool, sound: bool, light: bool,
     *     offers: bool, keep_back: bool, recording: bool, camera: bool, usual_words: bool,
     *     expires_after: int, unsuitable: string,
     *     watch: array<string, mixed>, feedback: array<string, mixed>,
     * }
     */
    public function toArray(): array
    {
        return [
            'desk_names' => $this->deskNames->value,
            'shown_names' => $this->shownNames->value,
            'pen_names' => $this->penNames->value,
            'messages' => $this->messages,
            'cover' => $this->cover,
            'sound' => $this->sound,
            'light' => $this->light,
            'offers' => $this->offers,
            'keep_back' => $this->keepBack,
            'recording' => $this->recording,
            'camera' => $this->camera,
            'usual_words' => $this->usualWords,
            'expires_after' => $this->expiresAfterMinutes,
            'unsuitable' => implode("\n", $this->unsuitable->words),
            'watch' => $this->watch->toArray(),
            'feedback' => $this->feedback->toArray(),
        ];
    }
}
