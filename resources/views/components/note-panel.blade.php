<aside class="note" id="note" aria-label="Note" hidden>
    <div class="note-head"><span id="note-parent"></span><span class="tail"><span id="note-words"></span><button class="ico hide-small"
        id="wide-note" type="button" aria-pressed="false" title="The note across the whole page" aria-label="Full width"><x-icon
        name="maximize-2" :size="16"/></button><button class="ico" id="close-note" type="button" title="Close the note"
        aria-label="Close the note"><x-icon name="x" :size="16"/></button></span></div>
    <h1 id="note-title"></h1>
    <p class="note-late" id="note-late" role="status"
        hidden>The text of this note has not come yet. What you write here is kept, and put at its end.</p>
    <div class="page" id="page"></div>
    <div class="tools" role="toolbar" aria-label="Formatting">
        @foreach (['bold' => 'Bold', 'italic' => 'Italic', 'underline' => 'Underline', 'highlight' => 'Highlight', 'blockquote' => 'Quote',
            'bulletList' => 'List', 'orderedList' => 'Numbered list', 'taskList' => 'Check list', 'link' => 'Link'] as $tool => $name)
            <button type="button" data-tool="{{ $tool }}" title="{{ $name }}" aria-label="{{ $name }}" aria-pressed="false"><x-icon
                :name="['highlight' => 'highlighter', 'blockquote' => 'quote', 'bulletList' => 'list', 'orderedList' => 'list-ordered', 'taskList' => 'list-checks'][$tool] ?? $tool"
                :size="16"/></button>
        @endforeach
        <button type="button" data-tool="picture" title="Picture" aria-label="Picture"><x-icon name="image" :size="16"/></button>
        <button type="button" data-tool="cite" title="Cite a source (@)" aria-label="Cite a source"><x-icon name="book-marked"
            :size="16"/></button>
        <button type="button" data-tool="more" title="More" aria-label="More for the note" aria-haspopup="dialog"><x-icon name="ellipsis"
            :size="16"/></button>
        <span class="space"></span><kbd class="kbd" title="Esc: back to the title">Esc</kbd>
    </div>
</aside>
