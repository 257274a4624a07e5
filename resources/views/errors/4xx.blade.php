@include('errors.layout', ['title' => __('That can’t be done'),
    'said' => __('Something wasn’t right. Nothing has changed.'), 'isOurs' => false])
