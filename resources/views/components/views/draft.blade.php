@props(['view'])
<main class="reading" id="draft" @if ($view !== 'draft') hidden @endif>
    <h1 class="visually-hidden">Draft</h1>
    <div id="notes-in-order"></div>
    <p class="hint" id="notes-empty" hidden>There are no notes yet. N on a marked topic opens its note.</p>
</main>
