<x-went-wrong code="404" />
