<x-went-wrong code="400" />
