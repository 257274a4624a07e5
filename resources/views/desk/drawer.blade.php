<aside id="drawer" class="drawer" data-panel="" hidden>
    @include('desk.handout')
    @include('desk.tools')
    @include('desk.door')
    <section id="waiting-panel" class="panel" aria-labelledby="waiting-title" hidden>
        <div class="panel-head">
            <h2 id="waiting-title" tabindex="-1">{{ __('Waiting') }}</h2>
            <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button>
        </div>
        @include('desk.waiting', ['as' => 'waiting-all'])
    </section>
    @include('desk.talk')
    @include('desk.ask')
    @include('desk.offers')
    @include('desk.timing')
    @include('desk.settings')
    @include('desk.keys')
</aside>
