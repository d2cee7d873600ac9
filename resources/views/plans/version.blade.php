<x-plan-frame :plan="$plan" current="history" :title="'As it was: ' . $plan->title . ' – Embrel'" class="beside">
<main class="history"><div>
    <p><a class="link" href="{{ route('plan.history', $plan) }}">History</a></p>
    <div class="said" role="status"><span>{{ $name === null ? 'The plan as it was' : "“{$name}”: the plan as it was" }} on
        {{ $time->format('j F Y, H:i') }}. It cannot be changed here.</span><x-step-acts :plan="$plan" :seq="$seq"
        :name="$name ?? $time->format('j F, H:i')" :is-now="$seq === $plan->revision"/></div>
    <article class="sheet-page">
        <h1>{{ $document->title }}</h1>
        {!! $body !!}
        @if ($body === '')<p class="hint">There was nothing in it yet.</p>@endif
    </article>
    @if ($loose)
        <section><h2>Loose ideas</h2><ul class="loose-then">@foreach ($loose as $idea)<li>{{ $idea }}</li>@endforeach</ul></section>
    @endif
</div></main>
</x-plan-frame>
