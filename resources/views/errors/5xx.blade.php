@include('errors.layout', ['title' => __('Something went wrong here'),
    'said' => __('What was stored is safe. Try again in a moment.')])
