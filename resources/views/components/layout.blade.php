@props(['title', 'script' => 'plain', 'page' => null])
<!DOCTYPE html>
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover, interactive-widget=resizes-content">
    <meta name="robots" content="noindex">
    <meta name="theme-color" content="#25323b">
    <meta name="htmx-config" content='{"allowEval":false,"includeIndicatorStyles":false,"selfRequestsOnly":true}'>
    <title>{{ $title }} · Crag</title>
    <link rel="manifest" href="{{ route('manifest') }}">
    <link rel="icon" href="/crag.svg" type="image/svg+xml">
    @vite(['resources/scss/app.scss', "resources/ts/pages/{$script}.ts"])
</head>
<body {{ $attributes }} data-paste-cut="{{ __('Only the first :n characters fit, so the rest was left out.') }}"
    @if ($page !== null) data-page="{{ json_encode($page) }}" @endif>
{{ $slot }}
<x-ask-first />
</body>
</html>
