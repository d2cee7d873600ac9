<x-plan-frame :plan="$plan" current="handouts" :title="'Give out: ' . $plan->title . ' – Embrel'" class="beside">
<main class="history"><div>
    <h1>Give it out as copies</h1>
    <p class="hint">Everyone gets a copy of their own to work in, by a letter. You see how far each copy is; what is written in it is its
        owner’s, and they can share it with you.</p>
    <x-said/>
    @if ($links !== [])
        <div class="letter-link">This Embrel runs on your own machine and sends no letters. The links would be these:
            <ul>@foreach ($links as $email => $link)<li>{{ $email }}: <a class="link" href="{{ $link }}">{{ $link }}</a></li>@endforeach</ul></div>
    @endif
    <form class="grid gap-3 mt-4" method="post" action="{{ route('plan.handouts', $plan) }}">
        @csrf
        <div class="field"><label for="emails">E-mail addresses, one on each line</label><textarea class="box" id="emails" name="emails" rows="5"
            @error('emails') aria-invalid="true" aria-describedby="emails-error"
            @enderror>{{ \App\Http\Given::before('emails') }}</textarea>@error('emails')<p class="error" id="emails-error"
            role="alert">{{ $message }}</p>@enderror</div>
        <div><button class="primary">Give it out</button></div>
    </form>
    @if ($copies !== [])
        <section aria-labelledby="copies-head" class="mt-6">
            <h2 id="copies-head">{{ count($copies) === 1 ? 'One copy' : count($copies) . ' copies' }}</h2>
            <ul class="steps">
                @foreach ($copies as $copy)
                    <li class="copy"><span><strong>{{ $copy['name'] }}</strong><small class="by">{{ $copy['email'] }}</small></span>
                        @if ($copy['changed'] === null)
                            <span class="hint">deleted</span>
                        @else
                            <span class="share" aria-hidden="true">@foreach ($copy['strip'] as $section)<i
                                style="--d:{{ str_starts_with($section['dye'], '#') ? $section['dye']
                                : 'var(--' . $section['dye'] . ')' }};--share:{{ $section['share'] }};--w:{{ $section['filled'] }}"></i>@endforeach</span>
                            <span class="hint">{{ number_format($copy['words']) }}{{ $copy['target'] ? ' of ' . number_format($copy['target']) : '' }}
                                words, {{ \Illuminate\Support\Carbon::parse($copy['changed'])->setTimezone($zone)->format('j F, H:i') }}</span>
                        @endif
                    </li>
                @endforeach
            </ul>
        </section>
    @endif
    @if ($waiting !== [])
        <section aria-labelledby="waiting-head" class="mt-6">
            <h2 id="waiting-head">Have not come yet</h2>
            <ul class="steps">
                @foreach ($waiting as $one)
                    <li class="copy"><span>{{ $one['email'] }}<small class="by">asked on {{ $one['asked'] }}{{ $one['isOver']
                        ? '; the letter is too old' : '' }}</small></span><span class="step-acts">
                        <form method="post" action="{{ route('plan.handouts', $plan) }}">@csrf<input type="hidden" name="emails"
                            value="{{ $one['email'] }}"><button class="plain" aria-label="Send again to {{ $one['email'] }}">Send again</button></form>
                        <form method="post" action="{{ route('plan.handout', [$plan, $one['id']]) }}">@csrf @method('DELETE')<button class="plain"
                            aria-label="Take back from {{ $one['email'] }}">Take back</button></form></span></li>
                @endforeach
            </ul>
        </section>
    @endif
</div></main>
</x-plan-frame>
