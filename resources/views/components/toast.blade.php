{{-- Sentences of the page's script, one at a time. --}}
@props(['id'])
<p id="{{ $id }}" class="notice" role="alert" hidden></p>
