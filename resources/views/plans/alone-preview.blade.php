<iframe class="alone-frame" src="{{ $address }}" sandbox="allow-scripts" title="{{ $title === '' ? 'Untitled' : $title }}, as the page that stands alone"></iframe>
<p class="hint said-below" data-long="{{ $isLong ? 1 : 0 }}" id="said">One file for anyone: it needs no account and no network.</p>
