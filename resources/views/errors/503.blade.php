@include('errors.layout', ['title' => __('Crag is being looked after'), 'said' => __('It will be back in a moment.')])
