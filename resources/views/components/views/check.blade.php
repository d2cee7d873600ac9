@props(['view'])
<main class="checking" id="check" @if ($view !== 'check') hidden @endif>
    <h1 class="visually-hidden">Check</h1>
    <section class="checking-side" aria-label="Balance and pace">
        <h2 id="balance-head">How the piece is balanced</h2>
        <ul class="balance" id="balance" aria-labelledby="balance-head"></ul>
        <p class="hint" id="balance-hint">Bar: words written. Pale: target; its end can be dragged. Upright: an even share.</p>
        <p class="hint" id="balance-empty" hidden>There are no sections yet.</p>
        <section class="pace" id="pace" aria-labelledby="pace-head" hidden>
            <h2 id="pace-head"></h2>
            <div class="pace-says"><p id="pace-says"></p><p id="pace-next" hidden>Next by the plan: <button type="button"
                class="pace-next" id="pace-topic"></button></p></div>
            <figure class="pace-line" id="pace-line" hidden></figure>
            <p class="pace-acts"><button class="link" type="button" id="pace-properties">Target and due date…</button> <button class="link"
                type="button" id="pace-days">Days on which you write…</button> <button class="link" type="button" id="pace-schedule">Schedule</button></p>
        </section>
    </section>
    <section class="checking-found" aria-labelledby="findings-head">
        <h2 id="findings-head" tabindex="-1">Looking…</h2>
        <p class="error" id="findings-error" role="alert" hidden></p>
        <ul class="findings" id="findings" aria-labelledby="findings-head"></ul>
        <p class="hint" id="findings-none" hidden></p>
        <section id="set-aside" aria-labelledby="set-aside-head" hidden>
            <h3 id="set-aside-head">Set aside</h3>
            <ul class="findings is-aside" id="set-aside-list" aria-labelledby="set-aside-head"></ul>
        </section>
    </section>
</main>
