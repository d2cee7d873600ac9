<x-layouts.app :title="$sending->name . ' – Embrel'" robots="noindex, nofollow">
    <x-list-head/>
    <main class="sheet">
        <h1>{{ $sending->name }}</h1>
        <p>{{ $sending->user->name ?? 'Someone' }} sends you this file, {{ $sending->size < 1_048_576
            ? max(1, intdiv($sending->size, 1024)) . ' kB' : number_format($sending->size / 1_048_576, 1) . ' MB' }}. It is here until
            {{ $sending->ends_at?->format('j F Y') }}.</p>
        @if ($sending->line !== '')<blockquote class="sent-line">{{ $sending->line }}</blockquote>@endif
        <div class="dialog-foot"><a class="primary" href="{{ route('sent.file', $end) }}" download>Download</a></div>
    </main>
</x-layouts.app>
