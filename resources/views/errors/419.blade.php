@include('errors.layout', ['title' => __('This page was open for too long'),
    'said' => __('Nothing is lost. Go back, load the page again and try once more.')])
