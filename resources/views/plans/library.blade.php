<x-layout :title="__('Plans')" class="home">
    <x-teacher-bar here="plans" />
    <main class="container-lg py-4">
        <x-said />
        @include('plans.running')
        <div class="library-head">
            <h1>{{ $look->inArchive ? __('Archive') : __('Plans') }}</h1>
            <form class="library-search" role="search" method="get" action="{{ route('plans') }}"
                hx-get="{{ route('plans') }}" hx-trigger="input changed delay:200ms from:#search" hx-sync="this:replace"
                hx-target="#plans-found" hx-select="#plans-found" hx-swap="outerHTML" hx-replace-url="true">
                <label class="visually-hidden" for="search">{{ __('Search plans') }}</label>
                <input id="search" name="search" type="search" class="form-control" value="{{ $look->search }}"
                    placeholder="{{ __('Search titles, tags and prompts') }}">
                @foreach ($look->tags as $one) <input type="hidden" name="tag[]" value="{{ $one }}"> @endforeach
                @if ($look->inArchive) <input type="hidden" name="archived" value="1"> @endif
                <label class="visually-hidden" for="sort">{{ __('Order') }}</label>
                <select id="sort" name="sort" class="form-select" data-send>
                    @foreach (App\Plans\LibraryLook::SORTS as $sort => $name)
                        <option value="{{ $sort }}" @selected($look->sort === $sort)>{{ __($name) }}</option>
                        @endforeach
                </select>
                <button class="btn btn-outline-slate"><x-icon name="search" /> {{ __('Search') }}</button>
            </form>
            <form class="library-new" method="post" action="{{ route('plans.make') }}">
                @csrf
                <button class="btn btn-go"><x-icon name="journal-plus" /> {{ __('New plan') }}</button>
            </form>
            @include('plans.from-file', ['words' => __('Add from a file')])
        </div>
        <div id="plans-found">
        <div class="library-tags">
            @foreach ($tags->take(12)->concat($look->tags)->unique() as $one)
                @include('plans.tag')
            @endforeach
            @if ($tags->count() > 12)
                <x-menu button="chip">
<x-slot:head>{{ __('All :n tags', ['n' => $tags->count()]) }}</x-slot>
                    <div class="menu library-all-tags">@foreach ($tags->sort(SORT_NATURAL | SORT_FLAG_CASE) as $one)
                        @include('plans.tag') @endforeach</div>
                </x-menu>
            @endif
            <span class="library-archive">
                @if ($archived > 0 || $look->inArchive)
                    <a href="{{ route('plans', $look->inArchive ? [] : ['archived' => 1]) }}"><x-icon name="archive" />
                        {{ $look->inArchive ? __('Back to the plans') : __('Archive (:n)', ['n' => $archived]) }}</a>
                @endif
                <a href="{{ $look->address(['dense' => $isDense ? '0'
                    : '1']) }}"><x-icon :name="$isDense ? 'grid' : 'list-ul'" />
                    {{ $isDense ? __('With pictures') : __('Dense list') }}</a>
            </span>
        </div>
        @if ($plans->isEmpty())
            <p class="nobody">
                @if ($look->isNarrowed()) {{ __('No plans match. Search for something else, or show all.') }}
                    <a href="{{ route('plans') }}">{{ __('Show all') }}</a>
                @elseif ($look->inArchive) {{ __('The archive is empty.') }}
                @else
                    {{ __('No plans yet. Make one, or add one from a PDF worksheet, pictures, plain text (a prompt per paragraph) or a zipped plan.') }}
                    @endif
            </p>
        @endif
        <ul class="plan-list {{ $isDense ? 'is-dense' : '' }}">
            @foreach ($plans as $plan)
                @include('plans.card')
            @endforeach
        </ul>
        <p class="visually-hidden" role="status">{{ trans_choice('{0} No plans found|{1} :count plan|[2,*] :count plans',
            $plans->count()) }}</p>
        </div>
        @if ($teacher->exists && ! $teacher->hasAccount())
            <p class="form-text mt-4">{{ __('These plans belong to this device.') }}
                <button class="btn btn-sm btn-outline-slate"
                    data-copy="{{ route('account.return', [$teacher, $teacher->return_key]) }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy the private return link') }}</button>
                {{ __('It opens them on another device, so keep it to yourself. Or') }}
                    <a href="{{ route('account') }}">{{ __('make an account') }}</a>.</p>
        @endif
    </main>
</x-layout>
