<x-went-wrong code="405" />
