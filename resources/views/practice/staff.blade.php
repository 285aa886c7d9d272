{{-- Who should practise what. Expects $staff, $aim. --}}
<h2>{{ __('practice.staff.title') }}</h2>
<p class="small quiet">{{ __('practice.staff.says', ['aim' => $aim]) }}</p>
<x-scroll>
    <table class="rows">
        <thead>
            <tr>
                <th>{{ __('practice.staff.person') }}</th>
                <th>{{ __('practice.staff.weak') }}</th>
                <th class="num">{{ __('practice.staff.week') }}</th>
                <th>{{ __('practice.staff.last') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($staff as $row)
                <tr>
                    <td><a href="{{ $row['progress'] }}">{{ $row['name'] }}</a></td>
                    <td>
                        @forelse($row['weak'] as $weak)
                            <div><a href="{{ $weak['url'] }}">{{ $weak['fault'] }}</a>
                                <span class="small quiet whole">{{ __('practice.staff.chance', $weak) }}</span></div>
                        @empty
                            {{ __('practice.stands') }}
                        @endforelse
                    </td>
                    <td class="num">{{ $row['answers'] }}</td>
                    <td>{{ $row['days'] === null ? __('practice.staff.never') : trans_choice('practice.staff.days', $row['days'], ['count' => $row['days']]) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
