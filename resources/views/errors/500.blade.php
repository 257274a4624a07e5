@include('errors.layout', ['title' => __('Something went wrong here'),
    'said' => __('Saved work is safe. Try again in a moment.')])
