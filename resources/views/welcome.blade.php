<x-layouts.app title="Embrel: plan a piece of writing">
    <x-list-head/>
    <main class="welcome">
        <div class="welcome-head">
            <div>
                <x-said/>
                <h1>From the first loose idea to the draft</h1>
                <p>Plan an essay, a report or a book as a tree of topics. Put notes on them, move them until the order is right, and hand it
                    over as a document with numbered headings and a contents list.</p>
                <div class="acts" style="justify-content:flex-start">
                    @if (\App\Store\Accounts::areOpen())<a class="primary" href="{{ route('sign-up') }}">Sign up</a>@endif
                    <a class="plain" href="{{ route('login') }}">Sign in</a>
                    @if ($hasSample)
                        <form method="post" action="{{ route('sample') }}">@csrf<button
                            class="plain">Look around in the sample account</button></form>
                    @endif
                </div>
            </div>
            <form class="begin-here" method="dialog" x-data="firstTopics" x-on:submit.prevent="add" aria-label="Begin here">
                <ol x-show="hasAny" x-cloak><template x-for="line in lines" x-bind:key="line.key"><li
                    x-text="line.title"></li></template></ol>
                <input class="box" aria-label="First topic" x-model="typed" x-on:blur="add" placeholder="Type the first topic, then Enter"
                    maxlength="1000" autocomplete="off">
                <p class="hint" x-show="hasNone">What is the first thing that your piece has to say?</p>
                <p class="hint" x-show="hasAny" x-cloak>Kept in this browser.
                    @if (\App\Store\Accounts::areOpen())<a class="link" href="{{ route('sign-up') }}">Sign up</a> or
                    <a class="link" href="{{ route('login') }}">sign in</a>@else<a class="link"
                    href="{{ route('login') }}">Sign in</a>@endif, and it is a plan.
                    <button class="link" type="button" x-on:click="clear">Let it go</button></p>
            </form>
        </div>
        <div class="glimpses">
            <figure class="glimpse" aria-label="As an outline">
                <div class="sprig" aria-hidden="true">
                    <p class="sprig-title">{{ $glimpse['title'] }}</p>
                    @foreach ($glimpse['rows'] as $row)
                        <div class="line {{ $row['level'] === 1 ? 'main' : '' }}"
                            style="--d:var(--{{ $row['dye'] }})"><span>{{ $row['number'] }}</span><span></span><span>{{ $row['title'] }}</span></div>
                    @endforeach
                </div>
                <figcaption>An outline that is numbered by itself</figcaption>
            </figure>
            <figure class="glimpse is-map" aria-label="As a map"><div
                aria-hidden="true">{!! $glimpse['map'] !!}</div><figcaption>The same plan as a map</figcaption></figure>
            <figure class="glimpse is-page" aria-label="As pages"><div
                aria-hidden="true">{!! $glimpse['page'] !!}</div><figcaption>And as the pages that you hand over</figcaption></figure>
        </div>
    </main>
</x-layouts.app>
