<x-went-wrong code="500" />
