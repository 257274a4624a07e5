@include('errors.layout', ['title' => __('This page was open for too long'),
    'said' => __('Nothing is lost. Go back, reload the page and try again.')])
