@include('errors.layout', ['title' => __('That’s over'), 'said' => __('This session has ended.')])
