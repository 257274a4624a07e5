{{-- How a class did in a run, without a name. --}}
<ol class="run-asks">
    @foreach ($result->asks as $one)
        <li><span dir="auto">{{ $one['words'] === '' ? __('Quick ask') : $one['words'] }}</span>
            @if ($one['right'] !== null)
                <meter class="tally-meter" min="0" max="{{ max(1, $one['answered']) }}"
                    value="{{ $one['right'] }}">{{ $one['right'] }}</meter>
                    <b>{{ __(':n of :of right', ['n' => $one['right'], 'of' => $one['answered']]) }}</b>
            @else <b>{{ trans_choice('{0} no answer|{1} :count answer|[2,*] :count answers', $one['answered']) }}</b>
                @endif</li>
    @endforeach
</ol>
@if ($result->teams !== []) @include('desk.asks.run-teams')
@elseif ($result->of > 0 && $result->right !== [])
    <p class="run-spread">@foreach (array_reverse($result->spread(), true) as $right => $n) @if ($n > 0)
        <span>{{ __(':right right: :n', ['right' => $right, 'n' => $n]) }}</span> @endif @endforeach</p>
@endif
