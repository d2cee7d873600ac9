<x-read-frame :link="$link" :plan="$plan" :end="$end" :current="$current" :strip="$strip">
    @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}</p>@endif
    <article class="read-text">
        <h1>{{ $plan->title === '' ? 'Untitled' : $plan->title }}</h1>
        {!! $notes[\Embrel\Plan\Plan::ROOT] ?? '' !!}
        <x-read-comments :link="$link" :end="$end" :topic="\Embrel\Plan\Plan::ROOT" on="the whole"
            :comments="$comments[\Embrel\Plan\Plan::ROOT] ?? []" :name="$name"/>
        @foreach ($rows as $row)
            <section id="t{{ $row['id'] }}" @class(['is-' . $row['kind']])
                style="--d:{{ str_starts_with($row['dye'], '#') ? $row['dye'] : "var(--{$row['dye']})" }}">
                <h2 aria-level="{{ min(6, $row['level'] + 1) }}" @class(['is-main' => $row['level'] === 1])><b>{{ $row['number'] }}</b>
                    {{ $row['title'] }}</h2>
                {!! $notes[$row['id']] ?? '' !!}
                <x-read-comments :link="$link" :end="$end" :topic="$row['id']" :on="trim($row['number'] . ' ' . $row['title'])"
                    :comments="$comments[$row['id']] ?? []" :name="$name"/>
            </section>
        @endforeach
    </article>
</x-read-frame>
