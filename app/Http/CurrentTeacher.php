<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Teachers\Device;
use App\Models\Teachers\Teacher;
use Crag\Session\Door\DeviceKind;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/** The teacher whose device this is: known by a cookie, which the database keeps only as a hash. */
final class CurrentTeacher
{
    private const COOKIE = 'crag_teacher';

    private const MINUTES = 60 * 24 * 400;

    /** The teacher whom a middleware has found. */
    public static function found(Request $request): Teacher
    {
        $teacher = $request->attributes->get('teacher');

        return $teacher instanceof Teacher ? $teacher : abort(403);
    }

    public static function of(Request $request): ?Teacher
    {
        return self::device($request)?->teacher;
    }

    /** The device itself. */
    public static function device(Request $request): ?Device
    {
        $token = $request->cookie(self::COOKIE);

        return is_string($token) ? Device::query()->with('teacher')->find(hash('sha256', $token)) : null;
    }

    /** This device is the teacher's from now on. */
    public static function remember(Teacher $teacher): void
    {
        $token = Str::random(40);
        $teacher->devices()->create([
            'token_hash' => hash('sha256', $token),
            'kind' => DeviceKind::of((string) request()->userAgent())->value,
        ]);
        Cookie::queue(Cookie::make(self::COOKIE, $token, self::MINUTES));
    }

    public static function forget(Request $request): void
    {
        $token = $request->cookie(self::COOKIE);
        if (is_string($token)) {
            Device::query()->whereKey(hash('sha256', $token))->delete();
        }
        Cookie::queue(Cookie::forget(self::COOKIE));
    }

    /** The teacher of this device, made one if it was none yet. */
    public static function orNew(Request $request, string $name): Teacher
    {
        $teacher = self::of($request);
        if ($teacher === null) {
            $teacher = Teacher::query()->create(['name' => $name]);
            self::remember($teacher);
        } elseif ($name !== '' && $teacher->name !== $name) {
            $teacher->update(['name' => $name]);
        }

        return $teacher;
    }
}
