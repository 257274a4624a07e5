{{-- What a quick ask is answered on by drawing: a second bench, which a page asks for once it needs one. --}}
@include('bench.bench', [
    'label' => __('Your drawing'), 'lead' => true, 'as' => 'pad-', 'files' => '', 'pieces' => false,
])
