<aside id="drawer" class="drawer" data-panel="" hidden>
    @include('desk.work.handout')
    @include('desk.show.show')
    @include('desk.work.tools')
    @include('desk.room.door')
    <x-panel id="waiting-panel" :title="__('Waiting')">
        @include('desk.room.waiting')
    </x-panel>
    @include('desk.room.talk')
    @include('desk.asks.ask')
    @include('desk.show.offers')
    @include('desk.room.timing')
    <x-panel id="done" :title="__('What was done')">
        @include('desk.room.done')
    </x-panel>
    @include('desk.room.settings')
    @include('desk.keys')
</aside>
