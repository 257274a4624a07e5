@include('errors.layout', ['title' => __('There’s nothing here'),
    'said' => __('The address is wrong, or this has been deleted.')])
