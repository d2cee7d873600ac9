@props(['title', 'width', 'height'])
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light">
    <title>Print: {{ $title }}</title>
    @vite(['resources/css/sheets.css', 'resources/js/sheets.js'])
    <link rel="stylesheet" href="{{ route('sheets.style', ['width' => $width, 'height' => $height]) }}">
</head>
<body>
<header class="bar">
    <h1 dir="auto">{{ $title === '' ? 'Untitled' : $title }}</h1>
    <p>{{ $says }}</p>
    <button type="button" id="print">Print…</button>
</header>
<main>
{{ $slot }}
</main>
</body>
</html>
