{{-- What was done to the whole room, the latest first, each with its way back. --}}
@use('App\Live\SchoolTime')
<div id="done-body" class="done-list" @isset($swap) hx-swap-oob="true" @endisset>
    @if ($acts->isEmpty()) <p
        class="form-text">{{ __('Nothing yet. Pens down, hand-outs and bringing everyone together stand here, and can be undone.') }}</p> @endif
    <ol class="done-acts">
        @foreach ($acts as $act)
            <li id="act-{{ $act->id }}" class="done-act {{ $act->isUndone() ? 'is-undone' : '' }}">
                <span class="done-what">{{ App\Http\Words\ActWords::said($act) }}
                    @if (is_string($act->said['label'] ?? null)) <span dir="auto">“{{ $act->said['label'] }}”</span> @endif
                    <span class="done-when">{{ SchoolTime::of($act->made_at_ms)->format('H:i') }}
                        @if ($isShared && $act->teacher !== null) ·
                            <span dir="auto">{{ $act->teacher->name }}</span> @endif
                        @if ($act->isUndone()) · <b>{{ __('undone') }}</b> @endif
                    </span></span>
                @if (in_array($act->id, $undoable, true) && $deeds->may($act->kind->undoing())) <button
                    class="btn btn-sm btn-outline-slate" data-post="{{ route('desk.act.undo', [$session, $act], false) }}"
                    data-body="{}" data-then="undone"><x-icon name="arrow-counterclockwise" /> {{ __('Undo') }}</button> @endif
            </li>
        @endforeach
    </ol>
</div>
