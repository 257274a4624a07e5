@props(['name'])
{!! App\Http\Icons::svg($name) !!}
