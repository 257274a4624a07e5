@include('errors.layout', ['title' => __('That cannot be done'),
    'said' => __('Something about it was not right. Nothing has changed.'), 'isOurs' => false])
