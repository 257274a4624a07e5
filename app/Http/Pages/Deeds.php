<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Http\CurrentRole;
use App\Models\LiveSession;
use App\Sessions\Room\CurrentSituation;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Crag\Session\Rules\Situation;
use Illuminate\Http\Request;

/** What whoever looks at a page may do there now, for its views and scripts: they ask, and work nothing out. */
final readonly class Deeds
{
    private function __construct(private Role $role, private Situation $now)
    {
    }

    public static function of(Request $request, LiveSession $session): self
    {
        return new self(CurrentRole::of($request), CurrentSituation::of($session));
    }

    public function may(Deed $deed): bool
    {
        return Rules::refusal($deed, $this->role, $this->now) === null;
    }

    /** @return array<string, ?string> for scripts: by deed, the reason against it or null */
    public function told(Deed ...$deeds): array
    {
        return Rules::may($this->role, $this->now, ...$deeds);
    }
}
