<x-went-wrong code="403" />
