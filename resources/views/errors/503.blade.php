@include('errors.layout', ['title' => __('Crag is being updated'), 'said' => __('It’ll be back in a moment.')])
