@include('errors.layout', ['title' => __('This is not yours to open'), 'said' => __('It belongs to another device.')])
