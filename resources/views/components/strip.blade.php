@props(['plan', 'strip'])
<nav class="strip" aria-label="Main sections" style="--count:{{ max(1, count($strip)) }}">
    @foreach ($strip as ['label' => $label, 'title' => $title, 'dye' => $dye, 'share' => $share, 'filled' => $filled])
        <a href="{{ route('plan', $plan) }}"
            style="--d:{{ str_starts_with($dye, '#') ? $dye : "var(--{$dye})" }};--share:{{ $share }};--w:{{ $filled }}"
            title="{{ $title }}"><b>{{ $label }}</b><span>{{ $title === '' ? 'Untitled' : $title }}</span></a>
    @endforeach
</nav>
