<x-panel id="offers" :title="__('Offered work')">
    <div id="offers-body"></div>
</x-panel>
