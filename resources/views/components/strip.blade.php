@props(['plan' => null, 'strip', 'to' => null])
<nav class="strip" aria-label="Main sections" style="--count:{{ max(1, count($strip)) }}">
    @foreach ($strip as ['id' => $id, 'label' => $label, 'title' => $title, 'dye' => $dye, 'share' => $share, 'filled' => $filled])
        <a href="{{ $to === null ? route('plan', $plan) : $to . $id }}"
            style="--d:{{ str_starts_with($dye, '#') ? $dye : "var(--{$dye})" }};--share:{{ $share }};--w:{{ $filled }}"
            title="{{ $title }}"><b>{{ $label }}</b><span>{{ $title === '' ? 'Untitled' : $title }}</span></a>
    @endforeach
</nav>
