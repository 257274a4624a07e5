@if (session('said'))
    <p class="alert alert-success" role="status">{{ session('said') }}</p>
@endif
@foreach ($errors->all() as $problem)
    <p class="alert alert-danger" role="alert">{{ $problem }}</p>
@endforeach
