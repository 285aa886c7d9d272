<x-went-wrong code="503" />
