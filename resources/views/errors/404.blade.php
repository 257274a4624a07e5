@include('errors.layout', ['title' => __('There is nothing here'),
    'said' => __('The address is wrong, or what was here has been forgotten.')])
