{{-- One student: what was written to and fro, and what can be done. Filled by the server when it is opened. --}}
<x-panel id="talk" :title="__('Student')">
    <div id="talk-body"></div>
</x-panel>
