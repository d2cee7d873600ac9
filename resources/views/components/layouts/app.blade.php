@props(['title' => 'Embrel', 'scripts' => ['resources/js/app.js'], 'robots' => null, 'class' => null])
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="embrel-version" content="{{ \App\Hosts\Release::id() }}">
    <meta name="color-scheme" content="light dark">
    @if ($robots)<meta name="robots" content="{{ $robots }}">@endif
    <title>{{ $title }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', ...$scripts])
</head>
<body @if ($class) class="{{ $class }}" @endif>
{{ $slot }}
</body>
</html>
