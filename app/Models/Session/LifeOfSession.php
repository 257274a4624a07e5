<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Live\Clock;
use App\Live\SchoolTime;
use App\Models\Record;
use Crag\Session\Life\Reopening;
use Crag\Session\Life\Retention;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/** Whether it runs, and how long it is kept. */
trait LifeOfSession
{
    /** As files about it begin: what it is called, and the day. */
    public function fileName(): string
    {
        return (Str::slug($this->title) ?: 'session').'-'.SchoolTime::of($this->created_at)->format('Y-m-d');
    }

    public function isRunning(): bool
    {
        return $this->ended_at === null;
    }

    /** The end that was, in milliseconds since 1970. */
    public function endedMs(): ?int
    {
        return $this->ended_at === null ? null : (int) $this->ended_at->getTimestampMs();
    }

    /** Whether it has ended, and can still be opened again. */
    public function isJustOver(): bool
    {
        return Reopening::mayStill($this->endedMs(), Clock::ms());
    }

    public function retention(): Retention
    {
        $longest = $this->longestDays();

        return Retention::days(
            min($this->keep_days ?? $longest ?? config()->integer('crag.keep_days'), $longest ?? PHP_INT_MAX),
        );
    }

    /** As its school has it; null where that says nothing. */
    public function longestDays(): ?int
    {
        return $this->school_id === null ? null : $this->loadMissing('school')->school?->keep_days;
    }

    /** Until when it is kept, in words; as if it ended now while it runs. */
    public function keptUntil(): string
    {
        return self::day($this->retention()->untilMs($this->endedMs() ?? Clock::ms()));
    }

    /** Until when students go on without the teacher, in words; null where they do not. */
    public function openUntil(): ?string
    {
        return $this->open_until_ms === null ? null : self::day($this->open_until_ms);
    }

    private static function day(int $ms): string
    {
        return SchoolTime::of($ms)->translatedFormat('j F Y');
    }

    /** @return HasMany<Record, $this> */
    public function records(): HasMany
    {
        return $this->hasMany(Record::class)->latest('id');
    }
}
