<div class="practice-sheets">
    @foreach ($sheets as $n => $tasks)
        <section aria-label="{{ __('Seat :n', ['n' => $n]) }}">
            <h3 class="h6">{{ __('Seat :n', ['n' => $n]) }}</h3>
            <ol>
                @foreach ($tasks as $task)
                    <li><span data-maths="{{ $task->words }}">{{ $task->words }}</span> <b class="practice-right">{{ $task->right }}</b></li>
                @endforeach
            </ol>
        </section>
    @endforeach
</div>
