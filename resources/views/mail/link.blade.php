{!! $sentence !!}

{!! $link !!}

If you did not expect this, leave it be: nothing happens without the link.
