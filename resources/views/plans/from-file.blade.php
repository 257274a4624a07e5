{{-- A plan begun with a file: sent as soon as it is chosen. --}}
<form class="library-new" method="post" action="{{ route('plans.bring-in') }}" enctype="multipart/form-data"
    data-send-file="{{ __('That file is over :n MB.', ['n' => App\Plans\BringInPlan::MOST_MEGABYTES]) }}">
    @csrf
    <label class="btn btn-outline-slate {{ $class ?? '' }}"><x-icon name="box-arrow-in-down" /> {{ $words }}
        <input type="file" name="file" class="visually-hidden"
            accept=".pdf,.zip,.xml,.txt,.md,.png,.jpg,.jpeg,.webp,.gif,.svg"></label>
</form>
