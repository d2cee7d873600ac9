@props(['view'])
<main class="gather" id="gather" @if ($view !== 'gather') hidden @endif>
    <h1 class="visually-hidden">Gather</h1>
    <section class="gather-in" aria-label="Ideas">
        <form id="gather-form" method="dialog">
            <div class="gather-field"><span class="inside-of" id="gather-inside" hidden></span><input id="gather-input" aria-label="An idea"
                aria-describedby="gather-hint" placeholder="What could be in it?" maxlength="1000" autocomplete="off"></div>
        </form>
        <p class="gather-asks" id="gather-asks" role="status" hidden></p>
        <div class="gather-asking"><button class="pill" type="button" id="gather-ask">Ask me something</button><button class="pill"
            type="button" id="gather-skip" hidden>Another question</button></div>
        <p class="hint" id="gather-hint">Enter keeps the idea. Paste a list and every line becomes one. Tab makes the next ones parts of the
            last. Down goes to sorting.</p>
        <div class="ideas" id="ideas" role="listbox" tabindex="0" aria-label="Loose ideas" aria-multiselectable="true" hidden></div>
        <p class="no-ideas" id="no-ideas">Ideas wait here, loose, until they have a place. Nothing needs to be in order yet.</p>
    </section>
    <aside class="gather-where" aria-labelledby="where-head">
        <h2 id="where-head">Where does it belong?</h2><span class="typed" id="typed" aria-live="polite"></span>
        <p class="hint" id="where-hint"></p>
        <ul class="places" id="places" aria-labelledby="where-head"></ul>
        <button class="pill" type="button" id="gather-sources" hidden></button>
    </aside>
</main>
