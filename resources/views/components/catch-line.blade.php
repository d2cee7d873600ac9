@props(['view'])
<form class="catch" id="catch-form" method="dialog" @if (!in_array($view, ['outline', 'map'], true)) hidden @endif aria-label="Catch an idea">
    <input id="catch" aria-label="Catch an idea" placeholder="Catch an idea: type, then Enter. It waits with the loose ideas."
        maxlength="1000" autocomplete="off">
    <kbd class="kbd">Ctrl K</kbd>
    <button class="pill" type="button" id="loose">0 loose ideas</button>
</form>
