@props(['name', 'size' => 18])
{!! str_replace(['width="24"', 'height="24"', '<svg'], ["width=\"{$size}\"", "height=\"{$size}\"",
    '<svg aria-hidden="true" focusable="false"'], preg_replace('/<!--.*?-->|\s+class="[^"]*"/s', '',
    file_get_contents(resource_path("icons/{$name}.svg")))) !!}
