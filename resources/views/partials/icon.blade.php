@props(['name'])
{!! str_replace('<svg ', '<svg aria-hidden="true" focusable="false" ', (string) file_get_contents(resource_path("icons/{$name}.svg"))) !!}
