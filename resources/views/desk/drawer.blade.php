<aside id="drawer" class="drawer" data-panel="" hidden>
    @include('desk.work.handout')
    @include('desk.work.tools')
    @include('desk.room.door')
    <section id="waiting-panel" class="panel" aria-labelledby="waiting-title" hidden>
        <div class="panel-head">
            <h2 id="waiting-title" tabindex="-1">{{ __('Waiting') }}</h2>
            <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
                class="visually-hidden">{{ __('Close') }}</span></button>
        </div>
        @include('desk.room.waiting', ['as' => 'waiting-all'])
    </section>
    @include('desk.room.talk')
    @include('desk.asks.ask')
    @include('desk.show.offers')
    @include('desk.room.timing')
    @include('desk.room.settings')
    @include('desk.keys')
</aside>
