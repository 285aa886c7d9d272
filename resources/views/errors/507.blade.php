<x-went-wrong code="507" />
