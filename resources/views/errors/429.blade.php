<x-went-wrong code="429" />
