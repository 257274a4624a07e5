{{-- All pages of the canvas as small pictures. --}}
@php($rulings = ['blank' => __('Blank'), 'lined' => __('Lined'), 'squared small' => __('Small squares'),
    'squared middle' => __('Squares'), 'dotted middle' => __('Dots'), 'isometric middle' => __('Isometric dots'),
    'staves' => __('Music staves')])
<dialog class="pages-window small-window" aria-labelledby="{{ $as }}pages-title">
    <h2 id="{{ $as }}pages-title">{{ __('Pages') }}</h2>
    <ol class="page-list"></ol>
    <template class="page-item">
        <li>
            <button type="button" class="page-thumb"><span class="page" aria-hidden="true"></span><span
                class="page-number"></span></button>
            <div class="page-acts">
                <button type="button" class="mini" data-move="-1" title="{{ __('Move it forward') }}"><x-icon
                    name="chevron-left" /><span class="visually-hidden">{{ __('Move it forward') }}</span></button>
                <button type="button" class="mini" data-move="1" title="{{ __('Move it back') }}"><x-icon
                    name="chevron-right" /><span class="visually-hidden">{{ __('Move it back') }}</span></button>
                <select class="form-select" aria-label="{{ __('Ruling') }}">
                    @foreach ($rulings as $ruling => $name)<option value="{{ $ruling }}">{{ $name }}</option>@endforeach
                </select>
                <button type="button" class="mini" data-copy-page title="{{ __('Copy this page') }}"><x-icon
                    name="copy" /><span class="visually-hidden">{{ __('Copy this page') }}</span></button>
                <button type="button" class="mini" data-gone title="{{ __('Delete this page') }}"><x-icon
                    name="trash3" /><span class="visually-hidden">{{ __('Delete this page') }}</span></button>
            </div>
        </li>
    </template>
    <div class="maths-end">
        <button type="button" class="btn btn-outline-slate" data-needs="pages" data-add-page>{{ __('Add a page') }}</button>
        <button type="button" class="btn btn-go" data-cancel>{{ __('Close') }}</button>
    </div>
</dialog>
