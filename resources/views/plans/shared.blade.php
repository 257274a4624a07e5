<x-layout :title="$plan->title" class="home">
    <x-teacher-bar here="plans" />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ $plan->title }}</h1>
            <p>{{ __(':name shares this plan with you.', ['name' => $plan->teacher->name ?: __('Another teacher')]) }}
                {{ trans_choice('{0} It has no prompts yet.|{1} It has :count prompt.|[2,*] It has :count prompts.',
                    count($plan->sequence)) }}</p>
            <form method="post" action="{{ route('plan.shared.take', [$plan, $key]) }}">
                @csrf
                <button class="btn btn-go btn-lg w-100" name="how" value="copy"><x-icon name="files" />
                    {{ __('Take a copy into my plans') }}</button>
                @if ($mayEdit)
                    <button class="btn btn-outline-slate btn-lg w-100 mt-2" name="how"
                        value="edit"><x-icon name="pencil" /> {{ __('Work on it together') }}</button>
                    <p
                        class="form-text">{{ __('You both change the same plan, and each of you sees what the other does.') }}</p>
                @endif
            </form>
        </section>
        @if ($prompts->isNotEmpty())
            <section class="card-paper mt-3" aria-labelledby="shared-prompts">
                <h2 id="shared-prompts" class="h5">{{ __('What’s in it') }}</h2>
                <ol class="shared-prompts">
                    @foreach ($prompts as $prompt)
                        <li><img src="{{ route('plan.shared.picture', [$plan, $key, $prompt->id]) }}" alt="" width="160"
                            height="100" loading="lazy"> <span dir="auto">{{ $prompt->plainWords() ?: __('no words yet') }}
                            <small class="form-text">{{ trans_choice(
                                '{0} no questions|{1} :count question|[2,*] :count questions',
                                count($prompt->value()->questions)) }}</small></span></li>
                    @endforeach
                </ol>
            </section>
        @endif
    </main>
</x-layout>
