{{-- A small window that asks for one thing: its title, what is asked, and what can be pressed. With `post` its form
    sends there; otherwise the script hears which button was pressed. --}}
@props(['id', 'title', 'post' => null, 'actions' => null, 'cancel' => __('Cancel'), 'heard' => true])
<dialog id="{{ $id }}" {{ $attributes->class('small-window') }} aria-labelledby="{{ $id }}-title">
    <form @if ($post !== null) data-post="{{ $post }}" @elseif ($heard) method="dialog" @endif>
        <h2 id="{{ $id }}-title">{{ $title }}</h2>
        {{ $slot }}
        @if ($actions !== null)
            <div class="maths-end">@if ($cancel !== '')<button type="button" class="btn btn-outline-slate"
                data-cancel>{{ $cancel }}</button>@endif{{ $actions }}</div>
        @endif
    </form>
</dialog>
