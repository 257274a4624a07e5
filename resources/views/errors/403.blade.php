@include('errors.layout', ['title' => __('You can’t open this'), 'said' => __('That seat belongs to another device.')])
