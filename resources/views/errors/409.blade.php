@include('errors.layout', ['title' => __('That is over'), 'said' => __('This session has ended.')])
