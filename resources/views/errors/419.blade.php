<x-went-wrong code="419" />
