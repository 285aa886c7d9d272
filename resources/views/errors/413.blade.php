<x-went-wrong code="413" />
