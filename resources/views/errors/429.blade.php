@include('errors.layout', ['title' => __('That was too often'), 'said' => __('Wait a minute, then try again.')])
