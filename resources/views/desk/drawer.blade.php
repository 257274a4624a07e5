<aside id="drawer" class="drawer" data-panel="" hidden>
    @include('desk.handout')
    @include('desk.tools')
    @include('desk.door')
    @include('desk.talk')
    @include('desk.ask')
    @include('desk.offers')
    @include('desk.timing')
    @include('desk.settings')
    @include('desk.keys')
</aside>
