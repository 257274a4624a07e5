<x-panel id="keys" :title="__('Keys')">
    @foreach (App\Http\Words\DeskKeys::all() as $title => $some)
        <h3 class="h6">{{ $title }}</h3>
        <dl class="keys">
            @foreach ($some as [$keys, , $does])
                <dt><kbd>{{ mb_strlen($keys[0]) === 1 ? mb_strtoupper(implode(' ', $keys)) : $keys[0] }}</kbd></dt>
                <dd>{{ $does }}</dd>
            @endforeach
        </dl>
    @endforeach
</x-panel>
