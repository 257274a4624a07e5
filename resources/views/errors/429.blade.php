@include('errors.layout', ['title' => __('That was too many times'), 'said' => __('Wait a minute, then try again.')])
