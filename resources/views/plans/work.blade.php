<x-plan-frame :plan="$plan" current="history" :title="'Who did what: ' . $plan->title . ' – Embrel'" class="beside">
<main class="history"><div>
    <p><a class="link" href="{{ route('plan.history', $plan) }}">History</a></p>
    <h1>Who did what</h1>
    <p class="hint">Only you, whose plan it is, see this. Words that were moved count as taken away and written.</p>
    @forelse ($people as $person)
        <section class="work-of" aria-label="{{ $person['name'] }}">
            <h2>{{ $person['name'] }}</h2>
            <p>{{ number_format($person['added']) }} {{ $person['added'] === 1 ? 'word' : 'words' }} written,
                {{ number_format($person['taken']) }} taken away, in {{ number_format($person['steps']) }}
                {{ $person['steps'] === 1 ? 'step' : 'steps' }}; last on
                {{ \Illuminate\Support\Carbon::parse($person['last'])->setTimezone($zone)->format('j F, H:i') }}.</p>
            @if ($person['sections'] !== [])
                <table><caption class="visually-hidden">Words by section</caption><thead><tr><th scope="col">Section</th><th
                    scope="col">Written</th><th scope="col">Taken away</th></tr></thead><tbody>
                    @foreach ($person['sections'] as $id => $words)
                        <tr><th scope="row">{{ $named((string) $id) }}</th><td>{{ number_format($words['added']) }}</td><td>{{
                            number_format($words['taken']) }}</td></tr>
                    @endforeach
                </tbody></table>
            @endif
        </section>
    @empty
        <p class="nothing">Nothing has been changed yet.</p>
    @endforelse
</div></main>
</x-plan-frame>
