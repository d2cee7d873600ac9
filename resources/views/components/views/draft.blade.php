@props(['view'])
<main class="reading" id="draft" tabindex="-1" @if ($view !== 'draft') hidden @endif>
    <h1 class="visually-hidden">Draft</h1>
    <nav class="draft-outline" id="draft-outline" aria-label="Sections of the text" hidden></nav>
    <button type="button" class="draft-around" id="draft-before" hidden></button>
    <div id="notes-in-order"></div>
    <button type="button" class="draft-around" id="draft-after" hidden></button>
    <p class="hint" id="notes-empty" hidden>Nothing of this kind is in the plan.</p>
</main>
