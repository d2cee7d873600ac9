@if ($line !== '')
{!! $line !!}

@endif
@if ($link === null)
{!! $by !!} sends you the file {!! $name !!}, made at Embrel. It is with this letter.
@else
{!! $by !!} sends you the file {!! $name !!}, made at Embrel. It is here until {{ $ends }}:

{!! $link !!}
@endif

An answer to this letter goes to {!! $by !!}.
