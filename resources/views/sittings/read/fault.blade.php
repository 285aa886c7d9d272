<li class="fault" data-fault="{{ $fault['key'] }}" data-at="{{ $fault['station'] }}">
    <div class="line">
        <span class="station">{{ $fault['station'] }}</span>
        <span class="name" id="n-{{ $fault['key'] }}">{{ $fault['name'] }}</span>
        <span class="small" data-summary></span>
    </div>
    <div class="details" role="group" aria-labelledby="n-{{ $fault['key'] }}">
        <p class="small quiet">{{ $fault['lookFor'] }}
            <button type="button" class="link" data-do="define" aria-expanded="false"
                aria-controls="d-{{ $fault['key'] }}">{{ $define }} <kbd
                    data-key="define">D</kbd></button></p>
        <dl class="facts small define" id="d-{{ $fault['key'] }}" data-definition hidden>
            @foreach($fault['facts'] as $name => $says)
                <dt>{{ $name }}</dt>
                <dd>{{ $says }}</dd>
            @endforeach
        </dl>
    </div>
</li>
