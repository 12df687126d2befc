# One interface target carries every flag of the project.
add_library(up_flags INTERFACE)
target_compile_features(up_flags INTERFACE cxx_std_20)
target_compile_options(up_flags INTERFACE
  -Wall -Wextra -Wpedantic -Wconversion -Wshadow -Wdouble-promotion -Wold-style-cast -Wnon-virtual-dtor
  -ffp-contract=off
  # GCC 12 reports these falsely, for std::optional and for text + text (its bug 105651); the asan preset watches instead.
  -Wno-maybe-uninitialized -Wno-restrict)
option(UPSTAIRS_WARNINGS_AS_ERRORS "Treat warnings as errors" OFF)
option(UPSTAIRS_SANITIZE "Address and undefined-behaviour sanitizers" OFF)
option(UPSTAIRS_FUZZ "Fuzzers of the readers (needs clang)" OFF)
option(UPSTAIRS_TIDY "Run clang-tidy while compiling" OFF)
option(UPSTAIRS_CCACHE "Compile through ccache when it is there" OFF)
option(UPSTAIRS_LIGHT_DEBUG "Line tables only: small, quick to link" OFF)
if(UPSTAIRS_WARNINGS_AS_ERRORS)
  target_compile_options(up_flags INTERFACE -Werror)
endif()
if(UPSTAIRS_SANITIZE)
  target_compile_options(up_flags INTERFACE -fsanitize=address,undefined -fno-omit-frame-pointer)
  target_link_options(up_flags INTERFACE -fsanitize=address,undefined)
endif()
if(UPSTAIRS_FUZZ)
  target_compile_options(up_flags INTERFACE -fsanitize=fuzzer-no-link,address,undefined -fno-sanitize-recover=undefined
    -fno-omit-frame-pointer -Wno-unknown-warning-option)
  target_link_options(up_flags INTERFACE -fsanitize=address,undefined)
endif()
if(UPSTAIRS_LIGHT_DEBUG)
  target_compile_options(up_flags INTERFACE -g1)
endif()
if(UPSTAIRS_TIDY)
  set(CMAKE_CXX_CLANG_TIDY clang-tidy)
endif()
if(UPSTAIRS_CCACHE)
  find_program(CCACHE_PROGRAM ccache)
  if(CCACHE_PROGRAM)
    # Paths below the project are hashed as relative ones, so that every checkout on a machine shares what was compiled.
    set(CMAKE_CXX_COMPILER_LAUNCHER ${CMAKE_COMMAND} -E env CCACHE_BASEDIR=${PROJECT_SOURCE_DIR} CCACHE_NOHASHDIR=1
      ${CCACHE_PROGRAM})
  endif()
endif()

# up_library(name SOURCES a.cpp … LINKS other …): one room of the house as a static library.
function(up_library name)
  cmake_parse_arguments(ARG "" "" "SOURCES;LINKS;PRIVATE_LINKS" ${ARGN})
  add_library(${name} STATIC ${ARG_SOURCES})
  target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR})
  target_link_libraries(${name} PUBLIC up_flags ${ARG_LINKS} PRIVATE ${ARG_PRIVATE_LINKS})
endfunction()
