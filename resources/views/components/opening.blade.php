@props(['json'])
{{-- What the page begins with, so that it need not ask. A < is spelt so that nothing in it can end the element. --}}
<script id="opening" type="application/json">{!! str_replace('<', '\\u003c', $json) !!}</script>
