@props(['view'])
<main class="reading" id="draft" tabindex="-1" @if ($view !== 'draft') hidden @endif>
    <h1 class="visually-hidden">Draft</h1>
    <div id="notes-in-order"></div>
    <p class="hint" id="notes-empty" hidden>Nothing of this kind is in the plan.</p>
</main>
