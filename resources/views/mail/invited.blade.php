@if ($invitation?->hands_out)
{!! $by !!} gives you a copy of the plan “{!! $title !!}” at Embrel, to work in by yourself. {!! $by !!} sees how far it is, and nothing else of it.
@else
{!! $by !!} asks you to the plan “{!! $title !!}” at Embrel. You {{ $invitation?->role->may() }} it.
@endif

This link leads to it:

{!! $link !!}

It works once, for {{ $days }} days. If you have no account yet, you make one on the way, with this address.
If you do not know what this is about, do nothing.
