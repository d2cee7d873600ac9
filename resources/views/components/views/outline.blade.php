@props(['plan', 'view'])
<main class="outline-side" id="outline-side" @if ($view !== 'outline') hidden @endif>
    <h1 class="visually-hidden">Outline</h1>
    <nav class="crumbs" id="crumbs" aria-label="Way back" hidden></nav>
    <div class="scroller" id="outline" tabindex="-1">
        <div class="empty" id="empty" hidden>
            <p>What is the first thing that this piece has to say?</p>
            <input class="box mt-3" id="first-topic" aria-label="First topic" placeholder="Type a topic, then Enter" maxlength="1000"
                autocomplete="off">
            <p class="hint mt-2">Enter makes the next topic, Tab moves it one level in.
                <a class="link" href="{{ route('intake', ['into' => $plan->id]) }}">Take in text or a file</a> that you have already.</p>
        </div>
        <div class="tree" role="tree" tabindex="0" aria-label="Topics" aria-multiselectable="true"><div class="loose-head" id="loose-head"
            role="presentation" hidden><span>Loose ideas</span><small>They have no place yet, and are not handed over.</small></div></div>
    </div>
    <div class="marked-bar" id="marked-bar" role="toolbar" aria-label="What is marked" hidden>
        <strong role="status" draggable="true" title="Drag it into another plan or program"></strong>
        @foreach (['wrap' => 'New parent', 'moveTo' => 'Move to…', 'outward' => 'Out', 'inward' => 'In', 'loosen' => 'Loose',
            'toAnotherPlan' => 'Another plan…', 'duplicate' => 'Duplicate', 'openMenu' => 'Kind, dye, flag…',
            'remove' => 'Remove'] as $action => $name)
            <button type="button" class="plain" data-action="{{ $action }}">{{ $name }}</button>
        @endforeach
        <button type="button" class="primary" data-action="done">Done</button>
    </div>
</main>
