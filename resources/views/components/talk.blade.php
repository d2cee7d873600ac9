<aside class="talk" id="talk" aria-label="Comments" hidden>
    <div class="talk-head"><select aria-label="Which comments"><option value="open">Open</option></select><button class="plain talk-new"
        type="button" title="On the words or the topic that is marked (Alt C)">Comment…</button><button class="ico" type="button" data-close
        title="Close the comments" aria-label="Close the comments"><x-icon name="x" :size="16"/></button></div>
    <div class="talk-write" hidden></div>
    <div class="talk-list"></div>
    <p class="quiet talk-none" hidden>Nothing of this kind is said here.</p>
</aside>
